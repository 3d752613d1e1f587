import { formatDuration } from '@oilcan/core/kernel';
import type { PastEvent, PastEventKind, PastJob, PastScope } from '@oilcan/core/past/past';
import { faultLine } from '../../recording/faults';
import { viewOf } from '../../frame/registry/view-of';
import { stoppageLine } from '../../recording/stoppages';
import { phoneNames } from '../../frame/views/names';
import { kindWords } from '../../../words/work-words';
import { amountOf } from '../../../words/amounts';

/** What several events of a kind are called, as a heading. */
export function eventWords(kind: PastEventKind): string {
  return kind === 'work' ? 'Work' : (viewOf(kind).past?.many ?? '');
}

export const scopeWords: Readonly<Record<PastScope, string>> = {
  asset: 'This machine',
  parts: 'With its parts',
  place: 'Its place',
};

/** Days back, or everything. */
export const periods = ['all', 365, 90] as const;
export type Period = (typeof periods)[number];
export const periodWords: Readonly<Record<Period, string>> = { all: 'All time', 365: '12 months', 90: '90 days' };

export const stateFilterWords = { all: 'Open and ended', open: 'Open', ended: 'Ended' } as const;

/** What happened, in a line. */
export function eventLine(event: PastEvent): string {
  if (event.kind === 'work') return event.job.title;
  return viewOf(event.kind).past?.line(event.kept, phoneNames) ?? '';
}

/** What the job came to beside its title: fault, parts, time, standstill. */
export function jobFacts(job: PastJob): string[] {
  const parts = job.parts.map(({ partId, quantity }) => {
    const part = phoneNames.part(partId);
    return `${amountOf(quantity, part)} ${part?.name ?? partId}`;
  });
  return [
    ...job.faults.map(faultLine),
    ...(parts.length === 0 ? [] : [parts.join(', ')]),
    [
      kindWords[job.kind],
      ...(job.activeMinutes === 0 ? [] : [`${formatDuration(job.activeMinutes)} worked`]),
      ...job.stoppages.map((stoppage) => stoppageLine(stoppage).toLowerCase()),
    ].join(' · '),
  ];
}
