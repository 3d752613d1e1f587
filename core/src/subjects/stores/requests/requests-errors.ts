import { defineError } from '../../../kernel/errors/catalogue';

export const requestsErrors = {
  request_says_nothing: defineError(400, 'Choose a part, or say in words what is needed.'),
  request_store_not_attended: defineError(409, (v) => `Nobody hands out at ${v['store']}. Take it from the bin there.`),
  request_obsolete: defineError(
    409,
    (v) =>
      `${v['part']} is not bought any more and ${v['store']} has none left. Ask for ${v['successor']} in its place.`,
  ),
  request_closed: defineError(409, (v) =>
    v['is'] === 'withdrawn'
      ? `${v['who']} took this request back: it is not needed any more.`
      : `${v['who']} said that the store cannot give it. The request says why.`,
  ),
  request_more_than_open: defineError(409, (v) =>
    v['left'] === '0'
      ? `All ${v['asked']} ${v['unit']} of it were given or taken already, last by ${v['who']}. Hand out more to the job itself if it needs more.`
      : `Only ${v['left']} of ${v['asked']} ${v['unit']} are still to be given. The rest was given or taken, last by ${v['who']}.`,
  ),
  request_of_another: defineError(403, 'Only whoever asked, a storekeeper or a lead changes a request.'),
  request_given: defineError(409, 'All of it was given already. Bring back what is not needed.'),
};

type RequestsErrors = typeof requestsErrors;
declare module '../../../kernel/errors/catalogue' {
  interface ErrorCodes extends RequestsErrors {}
}
