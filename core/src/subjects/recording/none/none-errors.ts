import { defineError } from '../../../kernel/errors/catalogue';

const recorded: Readonly<Record<string, string>> = {
  part: 'A part is recorded here. Take it back first.',
  stoppage: 'A stoppage is recorded here. Take it back first.',
  time: 'Time of yours is recorded here. Take it back first.',
  fault: 'A fault is recorded here. Take it back first.',
};

export const noneErrors = {
  none_but_recorded: defineError(409, ({ of }) => recorded[String(of)] ?? 'Something of it is recorded here.'),
};

type NoneErrors = typeof noneErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends NoneErrors {}
}
