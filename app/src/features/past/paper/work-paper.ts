import { formatDuration } from '@oilcan/core/kernel';
import type { Permit } from '@oilcan/core/plant/permits';
import { labelText } from '@oilcan/core/plant/plant';
import type { Settings } from '@oilcan/core/orders/settings';
import { placed } from '@oilcan/core/steps/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { now, peekRow, peekRows, usePhone } from '../../../data/store/store';
import type { JobCard } from '@oilcan/paper/job-card';
import type { OutOfServiceTag } from '@oilcan/paper/out-of-service-tag';
import { sayDue, sayExactly } from '../../../words/dates';
import { permitWords } from '../../../words/work-words';
import { kitLines } from '../../../data/queries/stock';
import { amountOf, binName } from '../../../words/amounts';
import { answerOnPaper } from '../../steps/steps/words';
import { phoneNames } from '../../frame/views/names';
import { factsOnPaper, headOnPaper } from './head-on-paper';

/** A work order as it goes onto paper. */
export function jobCardOf(work: WorkOrder, settings: Settings): JobCard {
  const { zone, language } = settings;
  const due = work.dueAt === null ? 'no date' : `${sayDue(work.dueAt, now(), zone, language)}`;
  const people = work.personIds.map((id) => peekRow('people', id)?.name ?? '');
  const crew = work.crewId === null ? [] : [peekRow('crews', work.crewId)?.name ?? ''];
  const kit = kitLines(
    work.kit,
    [],
    (id) => peekRow('stock', id),
    (id) => peekRow('parts', id),
  ).map((line) => {
    const bin = peekRow('bins', line.planned.binId);
    const store = peekRow('stores', bin?.storeId ?? '');
    const part = peekRow('parts', line.planned.partId);
    return `${amountOf(line.quantity, line)} ${part?.name ?? ''} (${part?.number ?? ''}), ${store?.name ?? ''} ${binName(bin)}`.trim();
  });
  const steps = placed(peekRows('steps', 'workOrder', work.id));
  return {
    ...headOnPaper(work, settings),
    facts: [
      ...factsOnPaper(work),
      ['Due', due],
      ['About', formatDuration(work.estimateMinutes)],
      ['With', [...people, ...crew].join(', ') || 'nobody yet'],
    ],
    permits: peekRows('permits', 'workOrder', work.id).map((permit) => permitLine(permit, settings)),
    hazards: work.hazards.map(({ hazard, control }) => [hazard, control]),
    isolation: work.isolation.map(({ device, release, test }) => [device, release ?? '', test]),
    kit: [...kit, ...work.tools.map(({ name, count }) => (count === 1 ? name : `${count} × ${name}`))],
    steps: steps.map(({ step, number, depth }) => [
      depth === 0 ? step.text : `${number} ${step.text}`,
      answerOnPaper(step.question, phoneNames),
    ]),
    code: labelText(window.location.origin, work.number),
    printed: `Printed ${sayExactly(now(), zone, language)}. What is recorded later is not on it.`,
  };
}

function permitLine({ kind, issued, conditions }: Permit, { zone, language }: Settings): readonly [string, string] {
  const name = permitWords[kind];
  if (issued === null) return [`${name}, number: ____________`, conditions];
  const until = sayExactly(issued.until, zone, language);
  return [`${name} ${issued.number}, until ${until}`, conditions];
}

/** What hangs on the machine while it is worked on. */
export function tagOf(work: WorkOrder, settings: Settings): OutOfServiceTag {
  const asset = peekRow('assets', work.assetId);
  const person = usePhone.getState().person;
  const since = work.startedAt !== null && isOpen(work.state) ? work.startedAt : now();
  return {
    number: work.number,
    title: work.title,
    machine: asset?.name ?? '',
    tag: asset?.tag ?? '',
    place: peekRow('places', work.placeId)?.name ?? '',
    person: person?.name ?? '',
    since: sayExactly(since, settings.zone, settings.language).replace(/:\d\d [^:]*$/, ''),
    organization: settings.organization,
    code: labelText(window.location.origin, asset?.tag ?? work.number),
  };
}
