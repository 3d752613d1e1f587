import type { Fields, Upgrade } from '../../records/table';

/** What a verdict of before is as found, and as left. */
const verdicts: Readonly<Record<string, Fields>> = {
  ok: { asFound: 'good', asLeft: null },
  fixed: { asFound: 'faulty', asLeft: 'putRight' },
  faulty: { asFound: 'faulty', asLeft: 'faulty' },
};

/** An answer with a verdict as a finding; any other as it was. */
export function answerUpgraded(answer: Fields | null): Fields | null {
  if (answer?.['type'] !== 'verdict') return answer;
  return { type: 'finding', ...(verdicts[String(answer['outcome'])] ?? verdicts['ok']) };
}

/** A question for a verdict as one for a finding; any other as it was. */
export function questionUpgraded(question: Fields): Fields {
  return question['type'] === 'verdict' ? { type: 'finding' } : question;
}

export const stepUpgrades: readonly Upgrade[] = [
  {
    to: 8,
    change: (row) => {
      const answer = row['answer'] as Fields | null;
      return {
        ...row,
        question: questionUpgraded(row['question'] as Fields),
        answer: answer === null ? null : { ...answer, value: answerUpgraded(answer['value'] as Fields | null) },
        stopId: null,
        parentId: null,
        condition: null,
        added: null,
      };
    },
  },
];
