import type { Fields, Upgrade } from '../../../records/table';

/** What a verdict of before is as found, and as left. */
const verdicts: Readonly<Record<string, Fields>> = {
  ok: { asFound: 'good', asLeft: null },
  fixed: { asFound: 'faulty', asLeft: 'putRight' },
  faulty: { asFound: 'faulty', asLeft: 'faulty' },
};

/** An answer with a verdict as a finding; any other as it was. */
export function answerUpgraded(answer: unknown): Fields | null {
  if (!isFields(answer)) return null;
  if (answer['type'] !== 'verdict') return answer;
  return { type: 'finding', ...(verdicts[String(answer['outcome'])] ?? verdicts['ok']) };
}

/** A question for a verdict as one for a finding; any other as it was. */
export function questionUpgraded(question: unknown): unknown {
  return isFields(question) && question['type'] === 'verdict' ? { type: 'finding' } : question;
}

/** A row that cannot be read must not keep a database from being opened. */
function isFields(value: unknown): value is Fields {
  return typeof value === 'object' && value !== null;
}

export const stepUpgrades: readonly Upgrade[] = [
  {
    to: 8,
    change: (row) => {
      const { answer } = row;
      return {
        ...row,
        question: questionUpgraded(row['question']),
        answer: isFields(answer) ? { ...answer, value: answerUpgraded(answer['value']) } : null,
        stopId: null,
        parentId: null,
        condition: null,
        added: null,
      };
    },
  },
];
