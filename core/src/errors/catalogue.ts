/** Values that a sentence needs: numbers, names, units. Never free text of a person's. */
export type ErrorValues = Readonly<Record<string, string | number>>;

interface CatalogueItem {
  /** The HTTP status that goes with it when it ends a request. */
  readonly status: number;
  /** What is wrong and how to go on, for a person. */
  readonly sentence: (values: ErrorValues) => string;
}

const item = (status: number, sentence: string | ((values: ErrorValues) => string)): CatalogueItem => ({
  status,
  sentence: typeof sentence === 'string' ? () => sentence : sentence,
});

/** What stands in the way, by its counts: “2 steps and the time are”. */
function owedWords(values: ErrorValues): string {
  const count = (name: string): number => Number(values[name] ?? 0);
  const some = (name: string, one: string, several: string): string[] =>
    count(name) === 0 ? [] : [count(name) === 1 ? one : `${count(name)} ${several}`];
  const words = [
    ...some('steps', 'one step', 'steps'),
    ...some('times', 'the time', 'times'),
    ...some('clocks', 'a running clock', 'running clocks'),
    ...some('locks', 'a lock that is on', 'locks that are on'),
  ];
  const total = ['steps', 'times', 'clocks', 'locks'].reduce((sum, name) => sum + count(name), 0);
  const last = words.pop() ?? 'something';
  return `${words.length === 0 ? last : `${words.join(', ')} and ${last}`} ${total > 1 ? 'are' : 'is'}`;
}

/** What has to be done first when locking out. */
const firstActWords: Readonly<Record<string, string>> = {
  shutDown: 'shut the machine down',
  lock: 'put the locks on',
  release: 'let the stored energy go',
  test: 'test it',
  unlock: 'take the lock off',
};

/**
 * Every error and every refusal there is. A code stands for one cause, on the phone, on the server and in the API.
 */
export const catalogue = {
  // The request itself
  malformed_json: item(400, 'The request is not readable JSON. Nothing was kept.'),
  invalid: item(400, (v) => String(v['reason'] ?? 'The request does not have the expected form.')),
  body_too_large: item(413, (v) => `The request is larger than ${v['limitKilobytes']} kB. Send it in smaller pieces.`),
  media_type_unsupported: item(415, 'Only application/json is accepted here.'),
  too_many_operations: item(413, (v) => `At most ${v['limit']} operations fit in one request.`),
  protocol_older: item(426, 'This Oilcan is older than the server. Update it; what you recorded stays on this phone.'),
  protocol_newer: item(
    426,
    'This Oilcan is newer than the server. What you recorded stays on this phone and goes out once the server is updated.',
  ),
  route_unknown: item(404, 'There is nothing at this address.'),
  too_many_requests: item(429, (v) => `Too many tries. Wait ${v['seconds'] ?? 60} seconds, then try again.`),
  unexpected: item(500, 'The server failed at this. It was noted under the request number; please try again.'),
  no_space: item(503, 'The server has no space left and took nothing. What you recorded stays on this phone.'),
  busy: item(503, 'The server is busy writing and took nothing. It is tried again by itself.'),
  not_ready: item(503, 'The server is starting or stopping. Try again shortly.'),

  // Files
  file_too_large: item(413, (v) => `A file may hold at most ${v['limitMegabytes']} MB.`),
  file_piece_out_of_place: item(409, (v) => `The server has ${v['received']} bytes of this file. Go on from there.`),
  file_damaged: item(422, 'The file that arrived is not the one that was sent. Send it again from the start.'),
  file_type_unsupported: item(415, 'Only JPEG, PNG and WebP pictures are taken.'),
  too_many_unfinished_files: item(
    409,
    (v) => `${v['limit']} files of yours are on their way already. Let them arrive first.`,
  ),
  file_missing: item(409, 'The file of this record has not arrived yet.'),

  // The phone itself
  phone_full: item(
    507,
    'There is no space left on this phone, and this was not kept. Free some space, then record it again.',
  ),
  phone_storage_failed: item(
    507,
    'This phone could not keep what you recorded. Write it down elsewhere, then reload Oilcan and try again.',
  ),

  // Who is asking
  not_signed_in: item(401, 'You are not signed in. Sign in, then go on where you were.'),
  session_expired: item(401, 'Your session has ended. Sign in again; nothing on this phone is lost.'),
  wrong_password: item(403, 'This is not your present password.'),
  wrong_name_or_password: item(401, 'Name and password do not fit together. Check both and try again.'),
  foreign_origin: item(403, 'This request came from another site and was not carried out.'),
  role_missing: item(403, (v) => `Only a ${v['roles']} may do this.`),
  not_as_another: item(403, 'An operation is taken only from the person who made it.'),
  work_order_not_yours: item(
    403,
    (v) => `${v['number']} is not assigned to you or your crew. Ask the lead to add you.`,
  ),

  // Operations
  operation_unknown: item(400, (v) => `There is no operation called “${v['name']}”.`),
  operation_id_reused: item(409, 'This operation number was already used for something else.'),
  made_too_long_ago: item(
    409,
    'By the clock of this phone this was recorded over a year ago. Set the clock right, then record it again.',
  ),
  made_in_future: item(409, 'The clock of this phone was set ahead. The right time was told to it; send this again.'),
  not_found: item(404, (v) => `This ${v['what']} does not exist, or not on your sites.`),
  other_site: item(403, 'This belongs to a site that you do not have. Ask your lead for it.'),
  state_forbids: item(409, (v) => `${v['number']} is ${v['state']}; it cannot be ${v['wanted']} now.`),
  work_order_closed: item(409, (v) => `${v['number']} is ${v['state']}; nothing more can be recorded on it.`),
  hazards_not_acknowledged: item(
    409,
    'Read and acknowledge the hazards first. They may have changed since you last did.',
  ),
  hazards_changed: item(409, 'The hazards have changed. Read them again and acknowledge them.'),
  handed_back_unseen: item(
    409,
    (v) => `${v['number']} was handed back while you had no signal. Read why, then finish it again.`,
  ),
  too_many_hazards: item(409, (v) => `A work order holds at most ${v['limit']} hazards.`),
  not_finished_owed: item(409, (v) => `Not finished: ${owedWords(v)} still owed.`),
  not_accepted_owed: item(409, (v) => `Not accepted: ${owedWords(v)} still there. Have it seen to first.`),
  not_dropped_owed: item(409, (v) => `Not dropped: ${owedWords(v)} still there. Have it seen to first.`),

  isolation_out_of_order: item(
    409,
    (v) => `First ${firstActWords[String(v['first'])] ?? 'do what comes before'}: locking out goes in its order.`,
  ),
  lock_of_another: item(403, 'A lock comes off by the hand that put it on. If that person is gone, ask the lead.'),
  lock_reason_missing: item(400, 'Say why you take off the lock of somebody else.'),
  code_unreadable: item(400, 'This is not a code that a label can have. Scan it again, or type it as it is printed.'),
  code_of_other_kind: item(400, (v) => `${v['code']} is the label of a bin or a place, not of a machine.`),
  code_taken: item(409, (v) => `The label ${v['code']} belongs to another machine already.`),
  code_bound: item(409, (v) => `The label ${v['code']} belongs to ${v['name']} already.`),
  kit_list_of_another: item(403, 'This kit list is not shared with you any more.'),
  kit_list_full: item(409, (v) => `A kit list holds at most ${v['limit']} lines.`),

  // Entries
  labor_not_positive: item(400, 'Give a time above zero, such as 1:30, 1.5 or 90m.'),
  labor_too_long: item(400, 'One entry holds at most 24 h. Split it by day.'),
  labor_too_old: item(400, 'This time lies over a year back. Check the date.'),
  labor_in_future: item(400, 'This time ends in the future. Give when it really ended, or let the clock run.'),
  clock_not_running: item(409, 'Your clock is not running on this work order.'),
  clock_ran_too_long: item(409, 'The clock ran for over 24 h. Say when you really stopped.'),
  quantity_not_positive: item(400, 'Give an amount above zero.'),
  quantity_not_whole: item(400, (v) => `This part is counted in whole ${v['unit']}.`),
  not_enough_stock: item(
    409,
    (v) => `Only ${v['onHand']} ${v['unit']} on hand in bin ${v['bin']}. Check the bin or take less.`,
  ),
  reading_out_of_range: item(400, 'That number is too large to be a reading.'),
  meter_runs_back: item(409, (v) => `This meter only counts up; it stood at ${v['latest']} ${v['unit']}.`),
  meter_read_lower_since: item(
    409,
    (v) => `This meter only counts up, and was read at ${v['later']} ${v['unit']} later than this.`,
  ),
  point_of_other_machine: item(409, (v) => `“${v['point']}” is not on the machine of this work order.`),
  answer_of_wrong_kind: item(400, 'This step wants another kind of answer.'),
  entry_amended_already: item(409, 'This entry was amended in the meantime. Amend the newer one.'),
  entry_not_amendable: item(409, 'This kind of entry cannot be changed afterwards.'),
  entry_of_another: item(403, 'Only the person who recorded it, or a lead, may change an entry.'),
  text_too_long: item(400, (v) => `At most ${v['limit']} characters fit here; this has ${v['length']}.`),
  control_characters: item(
    400,
    'The text holds characters that cannot be shown. Type it again or paste it as plain text.',
  ),

  // Computing
  time_unreadable: item(400, (v) => `“${v['text']}” is not a time. Write it as 14:20.`),
  zone_unknown: item(400, (v) => `“${v['zone']}” is not a known time zone.`),
  money_not_whole: item(500, 'An amount of money came out as a fraction of its smallest unit.'),
  currencies_differ: item(500, (v) => `Amounts in ${v['expected']} and ${v['found']} cannot be added.`),
} satisfies Record<string, CatalogueItem>;

export type ErrorCode = keyof typeof catalogue;

export const errorCodes = Object.keys(catalogue) as readonly ErrorCode[];

export function isErrorCode(text: string): text is ErrorCode {
  return Object.hasOwn(catalogue, text);
}

/** The sentence for a person that goes with a code. */
export function sentenceFor(code: ErrorCode, values: ErrorValues = {}): string {
  return catalogue[code].sentence(values);
}

/** The HTTP status that goes with a code. */
export function statusFor(code: ErrorCode): number {
  return catalogue[code].status;
}
