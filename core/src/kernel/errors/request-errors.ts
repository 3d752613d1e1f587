import { defineError } from './catalogue';

/** What can be wrong with a request, with who asks, and with the phone that asks. */
export const requestErrors = {
  malformed_json: defineError(400, 'The request is not readable JSON. Nothing was kept.'),
  invalid: defineError(400, (v) => String(v['reason'] ?? 'The request does not have the expected form.')),
  body_too_large: defineError(
    413,
    (v) => `The request is larger than ${v['limitKilobytes']} kB. Send it in smaller pieces.`,
  ),
  media_type_unsupported: defineError(415, 'Only application/json is accepted here.'),
  too_many_operations: defineError(413, (v) => `At most ${v['limit']} operations fit in one request.`),
  protocol_older: defineError(
    426,
    'This Oilcan is older than the server. Update it; what you recorded stays on this phone.',
  ),
  protocol_newer: defineError(
    426,
    'This Oilcan is newer than the server. What you recorded stays on this phone and goes out once the server is updated.',
  ),
  route_unknown: defineError(404, 'There is nothing at this address.'),
  too_many_requests: defineError(429, (v) => `Too many tries. Wait ${v['seconds'] ?? 60} seconds, then try again.`),
  unexpected: defineError(500, 'The server failed at this. It was noted under the request number; please try again.'),
  no_space: defineError(503, 'The server has no space left and took nothing. What you recorded stays on this phone.'),
  busy: defineError(503, 'The server is busy writing and took nothing. It is tried again by itself.'),
  not_ready: defineError(503, 'The server is starting or stopping. Try again shortly.'),

  phone_full: defineError(
    507,
    'There is no space left on this phone, and this was not kept. Free some space, then record it again.',
  ),
  phone_storage_failed: defineError(
    507,
    'This phone could not keep what you recorded. Write it down elsewhere, then reload Oilcan and try again.',
  ),
  not_loaded: defineError(
    503,
    'This part of Oilcan is not on this phone yet and there is no signal to load it. What you wrote stays here; try again when there is signal.',
  ),

  not_signed_in: defineError(401, 'You are not signed in. Sign in, then go on where you were.'),
  session_expired: defineError(401, 'Your session has ended. Sign in again; nothing on this phone is lost.'),
  wrong_password: defineError(403, 'This is not your present password.'),
  wrong_name_or_password: defineError(401, 'Name and password do not fit together. Check both and try again.'),
  foreign_origin: defineError(403, 'This request came from another site and was not carried out.'),
  other_site: defineError(403, 'This belongs to a site that you do not have. Ask your lead for it.'),
};

type RequestErrors = typeof requestErrors;
declare module './catalogue' {
  interface ErrorCodes extends RequestErrors {}
}
