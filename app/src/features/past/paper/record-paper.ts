import { formatDuration, formatSums, signedBy, type FileId, type Instant } from '@oilcan/core/kernel';
import type { PictureType } from '@oilcan/core/plant/files';
import type { MeasuringPoint } from '@oilcan/core/plant/plant';
import { costOf, isOnlyCost, pictureOf } from '@oilcan/core/registry';
import type { Settings } from '@oilcan/core/orders/settings';
import { pictureOfAnswer, placed, signatureOfAnswer, toldOnce } from '@oilcan/core/steps/steps';
import {
  costGroups,
  currentEntries,
  currentOf,
  type Entry,
  type EntryOf,
  type WorkOrder,
} from '@oilcan/core/orders/work';
import type { ReadingOnPaper, RecordPaper, SignatureOnPaper } from '@oilcan/paper/record-paper';
import { now, peekRow, peekRows } from '../../../data/store/store';
import { sayExactly } from '../../../words/dates';
import { costGroupWords, levelWords, stateOf } from '../../../words/work-words';
import { entryWords } from '../../recording/record/words';
import { sinceSigned } from '../../finishing/return-to-service/words';
import { answerWords } from '../../steps/steps/words';
import { namesWithoutMoney, phoneNames } from '../../frame/views/names';
import { factsOnPaper, headOnPaper } from './head-on-paper';

/** A picture of the job, by its file. */
export interface NamedPicture {
  readonly fileId: FileId;
  readonly mediaType: PictureType;
}

export interface RecordToSet {
  readonly record: RecordPaper;
  /** One for each of its photos. */
  readonly pictures: readonly NamedPicture[];
}

/**
 * The record of a job as it goes onto paper, as this phone has it.
 *
 * @param hasCosts whether what it cost stands on it; without, no amount of money does
 */
export function recordOnPaper(work: WorkOrder, settings: Settings, hasCosts: boolean): RecordToSet {
  const entries = [...peekRows('entries', 'workOrder', work.id)].sort((a, b) =>
    a.at < b.at ? -1 : a.at > b.at ? 1 : 0,
  );
  const say = (at: Instant): string => sayExactly(at, settings.zone, settings.language).replace(/:\d\d [^:]*$/, '');
  const nameOf = (id: string): string => peekRow('people', id)?.name ?? '';
  const photos = photosOf(work, entries, hasCosts);
  const ends: (readonly [string, string])[] = [
    ...(work.startedAt === null ? [] : [['Started', say(work.startedAt)] as const]),
    ...(work.finishedAt === null
      ? []
      : [['Finished', `${say(work.finishedAt)}, ${nameOf(work.finishedBy ?? '')}`] as const]),
    ...(work.doneEarlierAt === undefined ? [] : [['Done', say(work.doneEarlierAt)] as const]),
    ...(work.closedAt === null ? [] : [['Closed', say(work.closedAt)] as const]),
  ];
  return {
    record: {
      ...headOnPaper(work, settings),
      facts: [
        ...factsOnPaper(work),
        ['State', stateOf(work)],
        ...(work.dueAt === null ? [] : [['Due', say(work.dueAt)] as const]),
        ...ends,
      ],
      steps: placed(peekRows('steps', 'workOrder', work.id))
        .filter(({ isInForce, step }) => isInForce || step.answer !== null)
        .map(({ number, step: { text, question, answer } }) => [
          number,
          text,
          answer === null
            ? 'not answered'
            : `${answerWords(answer.value, question, phoneNames)} · ${nameOf(answer.by)}, ${say(answer.at)}`,
        ]),
      readings: readingsOf(entries, settings),
      entries: toldOnce(currentEntries(entries))
        // What was answered stands with the steps.
        .filter(({ content: { kind } }) => kind !== 'answer' && (hasCosts || !isOnlyCost(kind)))
        .map((entry) => {
          const { headline, detail } = entryWords(entry, hasCosts ? phoneNames : namesWithoutMoney, settings.language);
          return [`${say(entry.at)}, ${nameOf(entry.by)}`, headline, detail] as const;
        }),
      costs: hasCosts ? costsOf(work, entries, settings) : [],
      photos: photos.map(({ caption }) => caption),
      signatures: signaturesOf(work, entries, say),
      made: `Made on ${say(now())}. What is recorded later is not on it.`,
    },
    pictures: photos,
  };
}

function costsOf(work: WorkOrder, entries: readonly Entry[], settings: Settings): (readonly [string, string])[] {
  const cost = costOf(entries);
  const groups = costGroups.flatMap((group): (readonly [string, string])[] => {
    const sums = cost.groups[group];
    if (sums === null || sums.length === 0) return [];
    return [[costGroupWords[group], formatSums(sums, settings.currency, settings.language)]];
  });
  const estimate = work.estimateMinutes === 0 ? '' : ` of ${formatDuration(work.estimateMinutes)} planned`;
  return [
    ['Time', `${formatDuration(cost.laborMinutes)}${estimate}`],
    ...groups,
    [
      cost.groups.time === null ? 'Total without time' : 'Total',
      formatSums(cost.total, settings.currency, settings.language),
    ],
  ];
}

/** The last reading of each measuring point, with those before the job. */
function readingsOf(entries: readonly Entry[], { language }: Settings): ReadingOnPaper[] {
  const last = new Map(currentOf(entries, 'reading').map((entry) => [entry.content.pointId, entry]));
  return [...last].flatMap(([pointId, entry]) => {
    const point = peekRow('points', pointId);
    return point === undefined ? [] : [readingOf(point, entry, language)];
  });
}

function readingOf(point: MeasuringPoint, { at, content }: EntryOf<'reading'>, language: string): ReadingOnPaper {
  const { alarmLow, alertLow, alertHigh, alarmHigh } = point.limits;
  const marks = [
    ...[alertLow, alertHigh].flatMap((value) => (value === null ? [] : [{ value, is: 'alert' as const }])),
    ...[alarmLow, alarmHigh].flatMap((value) => (value === null ? [] : [{ value, is: 'alarm' as const }])),
  ];
  const say = (value: number): string => value.toLocaleString(language, { maximumFractionDigits: point.decimals });
  return {
    name: point.name,
    said: `${say(content.value)} ${point.unit}, ${levelWords[content.level].toLowerCase()}`,
    limits: marks.length === 0 ? '' : `${marks.map(({ value, is }) => `${is} ${say(value)}`).join(', ')} ${point.unit}`,
    scale: point.scale,
    marks,
    before: point.latest.filter((reading) => reading.at < at).map(({ value }) => value),
    value: content.value,
  };
}

function photosOf(
  work: WorkOrder,
  entries: readonly Entry[],
  hasCosts: boolean,
): (NamedPicture & { caption: string })[] {
  const pictures = currentEntries(entries).flatMap(({ content }) => pictureOf(content) ?? []);
  const ofSteps = peekRows('steps', 'workOrder', work.id).flatMap(({ text, answer }) => {
    const picture = pictureOfAnswer(answer?.value ?? null);
    return picture === null ? [] : [{ ...picture, caption: text }];
  });
  const receipts = hasCosts ? pictures.filter(({ isReceipt }) => isReceipt) : [];
  return [...pictures.filter(({ isReceipt }) => !isReceipt), ...ofSteps, ...receipts];
}

function signaturesOf(work: WorkOrder, entries: readonly Entry[], say: (at: Instant) => string): SignatureOnPaper[] {
  const ofSteps = peekRows('steps', 'workOrder', work.id).flatMap(({ text, answer }) => {
    const signature = signatureOfAnswer(answer?.value ?? null);
    if (answer === null || signature === null) return [];
    return [{ path: signature.path, words: `${signedBy(signature)}, ${say(answer.at)}: ${text}`, since: '' }];
  });
  const back = currentOf(entries, 'returned').map((entry) => {
    const { signature, condition, reservations } = entry.content;
    const but = reservations === '' ? '' : ` Limits on its use: ${reservations}.`;
    const words = `${signedBy(signature)}, ${say(entry.at)}: back in service, ${condition}.${but}`;
    return { path: signature.path, words, since: sinceSigned(entry, entries) };
  });
  return [...ofSteps, ...back];
}
