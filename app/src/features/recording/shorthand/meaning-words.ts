import { formatDuration, formatQuantity } from '@oilcan/core/kernel';
import { LONGEST_SHORTHAND, type Meaning, type Phrase, type Unread } from '@oilcan/core/recording/shorthand';
import { peekRow } from '../../../data/store/store';
import { amountOf } from '../../../words/amounts';
import { timeTypeWords } from '../../../words/work-words';
import { faultWords } from '../faults/words';
import { noneWords } from '../none/words';

/** What an understood phrase records, as the record would say it. */
export function meaningSaid(meaning: Meaning): string {
  const { phrase } = meaning.placed;
  switch (phrase.is) {
    case 'time': {
      const kind = phrase.timeType === 'regular' ? '' : `, ${timeTypeWords[phrase.timeType].toLowerCase()}`;
      return `${formatDuration(phrase.minutes)} of work${kind}`;
    }
    case 'part': {
      const part = meaning.is === 'part' ? peekRow('parts', meaning.partId) : undefined;
      return part === undefined
        ? `${formatQuantity(phrase.quantity)} of “${phrase.words}”`
        : `${amountOf(phrase.quantity, part)} ${part.name} (${part.number})`;
    }
    case 'fault':
      return meaning.is === 'fault' ? `Fault: ${faultWords(meaning.fault)}` : `Fault “${phrase.words}”`;
    case 'reading': {
      const point = meaning.is === 'point' ? peekRow('points', meaning.pointId) : undefined;
      return `${point?.name ?? phrase.words}: ${phrase.value} ${phrase.unit ?? point?.unit ?? ''}`.trim();
    }
    case 'stoppage':
      return `${phrase.extent === 'full' ? 'Stood still' : 'Ran, not fully'} for ${formatDuration(phrase.minutes)}, until now`;
    case 'note':
      return `Note: ${phrase.text}`;
    case 'spent':
      return `Spent ${phrase.amount}: ${phrase.words}`;
    case 'none':
      return noneWords[phrase.of];
    case 'unread':
      return `“${phrase.text}”`;
  }
}

const unreadWords: Readonly<Record<Unread, string>> = {
  unknown: 'begins nothing that is known. Put “note” before it to keep it as words.',
  partMissing: 'lacks the part: write its number or name behind it.',
  faultMissing: 'lacks what is wrong: write it in plain words, such as “fault leak”.',
  valueMissing: 'lacks the point or the value: write “read oil temperature 68”.',
  howLongMissing: 'lacks how long: write “stopped 1h30”.',
  amountMissing: 'lacks the amount or what for: write “spent 12.50 taxi”.',
  noteMissing: 'has no words.',
  tooLong: `At most ${LONGEST_SHORTHAND} characters are read as a line. Keep long words as a note.`,
};

/** Why a phrase is not understood, as precisely as it is known; null for one that is. */
export function problemSaid(meaning: Meaning): string | null {
  const { phrase } = meaning.placed;
  switch (meaning.is) {
    case 'unread':
      return meaning.because === 'tooLong'
        ? unreadWords.tooLong
        : `“${textOf(phrase)}” ${unreadWords[meaning.because]}`;
    case 'nothing':
      return `“${textOf(phrase)}” fits no ${thing(phrase)}.`;
    case 'several': {
      const named = meaning.choices.map(({ label }) => label).join(', ');
      const more = meaning.count > meaning.choices.length ? ', …' : '';
      return `“${textOf(phrase)}” fits ${meaning.count} ${thing(phrase)}s: ${named}${more}`;
    }
    default:
      return null;
  }
}

function textOf(phrase: Phrase): string {
  switch (phrase.is) {
    case 'part':
    case 'fault':
    case 'reading':
      return phrase.words;
    case 'unread':
      return phrase.text;
    default:
      return '';
  }
}

function thing({ is }: Phrase): string {
  return is === 'part' ? 'part' : is === 'fault' ? 'fault' : 'measuring point';
}
