import { addMinutes, parseMoney, type Instant, type PersonId } from '@oilcan/core/kernel';
import type { ArgsOf, OperationName } from '@oilcan/core/registry/operations';
import type { Settings } from '@oilcan/core/orders/settings';
import type { Meaning } from '@oilcan/core/recording/shorthand';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { fullestBin } from '../../../data/queries/stock';
import { peekRows } from '../../../data/store/store';

/** When each time of a line ended: the last of them now, each other where the next begins, so that no minute is recorded twice. */
export function endsOfTimes(meanings: readonly Meaning[], present: Instant): ReadonlyMap<Meaning, Instant> {
  const ends = new Map<Meaning, Instant>();
  let end = present;
  for (const meaning of meanings.toReversed()) {
    const { phrase } = meaning.placed;
    if (phrase.is !== 'time') continue;
    ends.set(meaning, end);
    end = addMinutes(end, -phrase.minutes);
  }
  return ends;
}

/** An operation that a phrase means. */
export type Meant = { [N in OperationName]: { readonly name: N; readonly args: ArgsOf<N> } }[OperationName];

interface About {
  readonly work: WorkOrder;
  readonly me: PersonId;
  readonly settings: Settings;
  readonly present: Instant;
  /** When the time that it says ended; left out for now. */
  readonly end?: Instant | undefined;
}

/** What a phrase records; null for what is not understood, or a sentence of what is in the way. */
export function operationOf(
  meaning: Meaning,
  { work, me, settings, present, end = present }: About,
): Meant | string | null {
  const { phrase } = meaning.placed;
  const { id: workOrderId, assetId } = work;
  switch (phrase.is) {
    case 'time': {
      const { minutes, timeType } = phrase;
      const startedAt = addMinutes(end, -minutes);
      return { name: 'labor.add', args: { workOrderId, personId: me, startedAt, minutes, timeType } };
    }
    case 'part': {
      if (meaning.is !== 'part') return null;
      const sits = peekRows('installations', 'asset', assetId).some(({ partId }) => partId === meaning.partId);
      if (sits) return 'One with a number sits there: use it through Part, where what comes out is asked.';
      const planned = work.kit.find(({ partId }) => partId === meaning.partId)?.binId;
      const binId = planned ?? fullestBin(meaning.partId, work.siteId);
      if (binId === undefined) return 'No bin holds this part: use it through Part.';
      return {
        name: 'part.use',
        args: { workOrderId, assetId, partId: meaning.partId, binId, quantity: phrase.quantity },
      };
    }
    case 'fault': {
      if (meaning.is !== 'fault') return null;
      const { component, mode } = meaning.fault;
      const detection = work.kind === 'inspection' ? 3 : work.kind === 'preventive' ? 1 : 8;
      const open = { mechanism: null, cause: null, activity: null, text: '' };
      return { name: 'fault.add', args: { workOrderId, assetId, component, mode, detection, ...open } };
    }
    case 'reading': {
      if (meaning.is !== 'point') return null;
      const unit = phrase.unit === null ? {} : { unit: phrase.unit };
      return { name: 'reading.add', args: { workOrderId, pointId: meaning.pointId, value: phrase.value, ...unit } };
    }
    case 'stoppage': {
      const { minutes, extent } = phrase;
      const from = addMinutes(present, -minutes);
      const isPlanned = work.kind === 'preventive';
      return {
        name: 'stoppage.add',
        args: { workOrderId, assetId, from, to: present, extent, lostPercent: null, isPlanned },
      };
    }
    case 'note':
      return { name: 'note.add', args: { workOrderId, assetId, text: phrase.text } };
    case 'spent': {
      const money = parseMoney(phrase.amount, settings.currency);
      if (money === undefined) return 'Write an amount, such as 12.50.';
      const { minor, currency } = money;
      return { name: 'expense.add', args: { workOrderId, minor, currency, words: phrase.words, receipt: null } };
    }
    case 'none':
      return { name: 'none.say', args: { workOrderId, of: phrase.of } };
    case 'unread':
      return null;
  }
}
