import { defineError } from './catalogue';

/** What can be wrong with a text, a time, or an amount of money. */
export const computingErrors = {
  text_too_long: defineError(400, (v) => `At most ${v['limit']} characters fit here; this has ${v['length']}.`),
  control_characters: defineError(
    400,
    'The text holds characters that cannot be shown. Type it again or paste it as plain text.',
  ),
  time_unreadable: defineError(400, (v) => `“${v['text']}” is not a time. Write it as 14:20.`),
  zone_unknown: defineError(400, (v) => `“${v['zone']}” is not a known time zone.`),
  money_not_whole: defineError(500, 'An amount of money came out as a fraction of its smallest unit.'),
  currencies_differ: defineError(500, (v) => `Amounts in ${v['expected']} and ${v['found']} cannot be added.`),
};

type ComputingErrors = typeof computingErrors;
declare module './catalogue' {
  interface ErrorCodes extends ComputingErrors {}
}
