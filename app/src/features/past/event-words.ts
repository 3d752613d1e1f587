import { nameOfActivity, nameOfMode } from '@oilcan/core/faults';
import { formatDuration, minutesBetween } from '@oilcan/core/kernel';
import type { PastEvent, PastEventKind, PastJob, PastScope } from '@oilcan/core/past';
import { peekRow } from '../../data/store';
import { sayStanding } from '../../words/spans';
import { kindWords, levelWords } from '../../words/work-words';
import { amountOf } from '../sheet/kit';

export const eventWords: Readonly<Record<PastEventKind, string>> = {
  work: 'Work',
  fault: 'Faults',
  part: 'Parts',
  stoppage: 'Stoppages',
  reading: 'Readings',
  note: 'Notes',
};

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
  switch (event.kind) {
    case 'work':
      return event.job.title;
    case 'fault':
      return faultLine(event.kept);
    case 'part': {
      const part = peekRow('parts', event.kept.partId);
      return `${amountOf(event.kept.quantity, part)} ${part?.name ?? event.kept.partId}`;
    }
    case 'stoppage':
      return stoppageLine(event.kept);
    case 'reading': {
      const { pointId, value, level } = event.kept;
      const point = peekRow('points', pointId);
      const beyond = level === 'normal' ? '' : `, ${levelWords[level].toLowerCase()}`;
      return `${point?.name ?? pointId}: ${value} ${point?.unit ?? ''}${beyond}`;
    }
    case 'note':
      return `“${event.kept}”`;
  }
}

/** `Output shaft seal: external leakage, utility medium; replaced`. */
export function faultLine({ component, mode, activity }: PastJob['faults'][number]): string {
  const what = nameOfMode(mode).toLowerCase();
  return `${component === '' ? '' : `${component}: `}${what}; ${nameOfActivity(activity)}`;
}

function stoppageLine({ from, to, extent, isPlanned }: PastJob['stoppages'][number]): string {
  const isFull = extent === 'full';
  const planned = isPlanned ? ', planned' : '';
  if (to === null) return `${isFull ? 'Stands still' : 'Runs reduced'}${planned}`;
  const how = `${isFull ? 'Stood still' : 'Ran reduced'}${planned}`;
  return `${how} for ${sayStanding(Math.max(0, minutesBetween(from, to)))}`;
}

/** What the job came to beside its title: fault, parts, time, standstill. */
export function jobFacts(job: PastJob): string[] {
  const parts = job.parts.map(({ partId, quantity }) => {
    const part = peekRow('parts', partId);
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
