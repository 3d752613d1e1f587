/** What a line means, for other features that read one. */
export { meaningSaid, problemSaid } from './meaning-words';
export { operationOf, type Meant } from './to-operation';
export { useShorthandContext } from './use-context';
