import { formatDuration, formatMoney } from '@oilcan/core/kernel';
import { daysBetween } from '@oilcan/core/past';
import type { Person } from '@oilcan/core/people';
import type { MeasuringPoint } from '@oilcan/core/plant';
import type { Step } from '@oilcan/core/steps';
import type { Bin, Part } from '@oilcan/core/stock';
import { type Entry, holdReasons, type HoldReason } from '@oilcan/core/work';
import { holdWords, isolationWords, levelWords, outcomeWords, stateWords, timeTypeWords } from '../../words/work-words';
import { saySpan } from '../../words/spans';
import { amountOf, binName } from './kit';

/** Looks up what an entry names; undefined for what this phone does not have. */
export interface EntryNames {
  readonly person: (id: string) => Person | undefined;
  readonly part: (id: string) => Part | undefined;
  readonly bin: (id: string) => Bin | undefined;
  readonly point: (id: string) => MeasuringPoint | undefined;
  readonly step: (id: string) => Step | undefined;
  /** The device of an isolation point; empty for the machine as a whole. */
  readonly isolationPoint: (workOrderId: string, id: string | null) => string;
}

/** What a lead should know of how an entry came in; null when nothing is strange about it. */
export function arrivalWords({ at, arrival }: Pick<Entry, 'at' | 'arrival'>): string | null {
  if (arrival === undefined) return null;
  const late = daysBetween(at, arrival.at);
  const words = [
    ...(late > 1 ? [`came in ${saySpan(late)} later`] : []),
    ...(arrival.clockOffMinutes === 0
      ? []
      : [
          `phone’s clock ${saySpan(Math.abs(arrival.clockOffMinutes) / 1440)} ${arrival.clockOffMinutes > 0 ? 'ahead' : 'behind'}`,
        ]),
  ];
  return words.length === 0 ? null : `Check the time: ${words.join(', ')}`;
}

export interface EntryWords {
  readonly headline: string;
  readonly detail: string;
}

/** What an entry says, as a headline and a quieter line. */
export function entryWords({ content, by, workOrderId }: Entry, names: EntryNames, language: string): EntryWords {
  switch (content.kind) {
    case 'labor': {
      // The record names who wrote an entry; whose time it is matters only when it is somebody else's.
      const whose = content.personId === by ? '' : `, ${names.person(content.personId)?.name ?? ''}`;
      return {
        headline: `${formatDuration(content.minutes)} of work`,
        detail: [
          `${timeTypeWords[content.timeType]}${whose}`,
          content.cost === null ? '' : formatMoney(content.cost, language),
          content.stoppedBecause === undefined ? '' : `clock stopped: ${content.stoppedBecause}`,
        ]
          .filter((each) => each !== '')
          .join(' · '),
      };
    }
    case 'part': {
      const part = names.part(content.partId);
      return {
        headline: `${amountOf(content.quantity, part)} ${part?.name ?? 'a part'}`,
        detail: `${part?.number ?? ''}, ${binName(names.bin(content.binId))} · ${formatMoney(content.cost, language)}`,
      };
    }
    case 'reading': {
      const point = names.point(content.pointId);
      return {
        headline: `${point?.name ?? 'Reading'} ${content.value} ${point?.unit ?? ''}`,
        detail: levelWords[content.level],
      };
    }
    case 'note':
      return { headline: content.text, detail: 'Note' };
    case 'answer': {
      const step = names.step(content.stepId);
      const position = step === undefined ? 'Step' : `Step ${step.position}`;
      return { headline: step?.text ?? 'A step', detail: `${position}, ${answerWords(content.answer, step)}` };
    }
    case 'hazard':
      return { headline: content.hazard, detail: `Hazard added. ${content.control}` };
    case 'photo':
      return { headline: content.caption === '' ? 'Photo' : content.caption, detail: 'Photo' };
    case 'acknowledgement':
      return {
        headline: 'Hazards read',
        detail: content.hazardIds.length === 1 ? '1 hazard' : `${content.hazardIds.length} hazards`,
      };
    case 'state':
      return { headline: stateWords[content.to], detail: reasonWords(content.reason) };
    case 'fault':
      return { headline: `${content.component}: ${content.text}`, detail: `Fault ${content.mode}` };
    case 'stoppage':
      return {
        headline: content.extent === 'full' ? 'Stopped' : 'Reduced',
        detail: content.isPlanned ? 'Planned stoppage' : 'Stoppage',
      };
    case 'isolation': {
      const of =
        content.ofPersonId === null || content.ofPersonId === by
          ? ''
          : `, of ${names.person(content.ofPersonId)?.name ?? ''}`;
      return {
        headline: `${isolationWords[content.act]}${of}`,
        detail: [names.isolationPoint(workOrderId, content.pointId), content.reason]
          .filter((each) => each !== '')
          .join(' · '),
      };
    }
    case 'withdrawal':
      return { headline: 'Taken back', detail: content.reason };
  }
}

function answerWords(answer: Extract<Entry['content'], { kind: 'answer' }>['answer'], step: Step | undefined): string {
  if (answer === null) return 'undone';
  switch (answer.type) {
    case 'tick':
      return 'done';
    case 'verdict':
      return outcomeWords[answer.outcome];
    case 'number':
      return `${answer.value} ${step?.question.type === 'number' ? step.question.unit : ''}`.trim();
  }
}

function reasonWords(reason: string): string {
  const isHold = (text: string): text is HoldReason => holdReasons.some((each) => each === text);
  return isHold(reason) ? holdWords[reason] : reason;
}
