import { useRouter } from 'expo-router';
import { asId, type OperationId, type WorkOrderId } from '@oilcan/core/kernel';
import { assigneesOf, type WorkOrder } from '@oilcan/core/orders/work';
import type { ArgsOf } from '@oilcan/core/registry/operations';
import { sentenceFor } from '@oilcan/core/registry';
import { peekRow, performMaking } from '../../../data/store/store';
import { sayRefused } from '../../../data/store/use-operation';
import { useNotice } from '../../../ui/state/use-notice';

/** What became of it. */
export type Became = 'raised' | 'planned' | 'on your list';

/** What is said of work that was just made, by whatever way: its number, and what it waits for. */
export function madeWords(work: WorkOrder | undefined, became: Became): string {
  const is = `${work?.number ?? 'It'} is ${became}`;
  if (work === undefined) return `${is}.`;
  if (work.goAhead !== undefined && work.goAhead.givenBy === null)
    return `${is}, and waits for a lead to let it start.`;
  return assigneesOf(work).length > 0 ? `${is}.` : `${is}. Nobody has it yet.`;
}

interface MadeWork {
  /** What is said of the work of this id. */
  readonly said: (made: string, became: Became) => string;
  /** Opens it. */
  readonly opens: (made: string) => () => void;
  /** Tells of what was made, after what else there is to say; one alone is opened with a press. */
  readonly tell: (made: readonly string[], became: Became, before?: string) => void;
  /** Raises each, and tells of them; the first that is refused is told of, and the rest is left. Gives how many were raised. */
  readonly raise: (wanted: readonly ArgsOf<'work.raise'>[], before?: string) => Promise<number>;
}

/** Every way of making work tells of it by this: no number is left out, and one press opens what was made. */
export function useMadeWork(): MadeWork {
  const router = useRouter();
  const say = useNotice((state) => state.say);
  const workOf = (made: string): WorkOrder | undefined => peekRow('workOrders', asId<WorkOrderId>(made));
  const said = (made: string, became: Became): string => madeWords(workOf(made), became);
  const opens = (made: string) => () => router.navigate(`/shift/${made}`);
  const tell: MadeWork['tell'] = (made, became, before) => {
    const lead = before === undefined ? '' : `${before} `;
    const [one] = made;
    if (one === undefined) return;
    if (made.length === 1) return say(`${lead}${said(one, became)}`, opens(one));
    const numbers = made.map((id) => workOf(id)?.number ?? 'one');
    say(`${lead}${numbers.slice(0, -1).join(', ')} and ${numbers.at(-1) ?? ''} are ${became}.`);
  };
  const raise: MadeWork['raise'] = async (wanted, before) => {
    const made: OperationId[] = [];
    for (const each of wanted) {
      const outcome = await performMaking('work.raise', each);
      if (!outcome.ok) {
        if (made.length === 0) sayRefused(outcome);
        else tell(made, 'raised', sentenceFor(outcome.code, outcome.values));
        return made.length;
      }
      made.push(outcome.value);
    }
    tell(made, 'raised', before);
    return made.length;
  };
  return { said, opens, tell, raise };
}
