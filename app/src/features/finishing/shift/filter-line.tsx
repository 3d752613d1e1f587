import { mdiFilterVariant } from '@mdi/js';
import { useMemo, type ReactElement } from 'react';
import { FilterChip, FilterChips } from '../../../ui/fields/filter-chips';
import { everything, toggled, type Aspect, type AspectChoices, type Present } from './narrowing';
import { sectionsAmong, type Listed, type Shown } from './shift-list';
import { allWork, openView, useKeptViews } from './use-narrowing';

/** So many of the likeliest stand on the line; the rest are behind “Filter”. */
const MOST_CHIPS = 8;

/** What people narrow by most, in this order; of time only what is meant without a calendar. */
const likeliest: readonly (readonly [Aspect, readonly string[] | null])[] = [
  ['time', ['late', 'today']],
  ['trade', null],
  ['place', null],
  ['urgency', ['now']],
];

interface Props {
  readonly listed: readonly Listed[];
  readonly among: readonly AspectChoices[];
  readonly shown: Shown;
  readonly present: Present;
  readonly onChange: (shown: Shown) => void;
  readonly onMore: () => void;
}

/** What narrows the list in one press: what is on, one's own views, and the likeliest. */
export function FilterLine({ listed, among, shown, present, onChange, onMore }: Props): ReactElement {
  const { narrowing } = shown;
  const chips = useMemo(() => chipsAmong(among, narrowing), [among, narrowing]);
  const on = Object.values(narrowing).flat().length;
  return (
    <FilterChips label="Narrow the list">
      <FilterChip icon={mdiFilterVariant} word="Filter" {...(on === 0 ? {} : { count: on })} opens onPress={onMore} />
      <Views listed={listed} present={present} shown={shown} onChange={onChange} />
      {chips.map(({ aspect, value, word, count }) => (
        <FilterChip
          key={`${aspect} ${value}`}
          word={word}
          count={count}
          isOn={narrowing[aspect].includes(value)}
          onPress={() => onChange({ ...shown, narrowing: toggled(narrowing, aspect, value) })}
        />
      ))}
    </FilterChips>
  );
}

interface OneChip {
  readonly aspect: Aspect;
  readonly value: string;
  readonly word: string;
  readonly count: number;
}

/** What is on first, so that nothing that hides rows is out of sight; then the likeliest that leave some. */
export function chipsAmong(among: readonly AspectChoices[], narrowing = everything): OneChip[] {
  const all = among.flatMap(({ aspect, choices }) => choices.map((choice): OneChip => ({ aspect, ...choice })));
  const isOn = ({ aspect, value }: OneChip): boolean => narrowing[aspect].includes(value);
  const offered = likeliest.flatMap(([aspect, values]) =>
    all
      .filter((chip) => chip.aspect === aspect && chip.count > 0 && (values === null || values.includes(chip.value)))
      .sort((a, b) => (values === null ? b.count - a.count : 0)),
  );
  return [...all.filter(isOn), ...offered.filter((chip) => !isOn(chip)).slice(0, MOST_CHIPS)];
}

/** The views that the person keeps, each with how many jobs it shows now; a second press shows all again. */
function Views({ listed, present: { now, zone }, shown, onChange }: Omit<Props, 'among' | 'onMore'>): ReactElement {
  const { value: views } = useKeptViews();
  const counts = useMemo(
    () =>
      views.map((view) =>
        sectionsAmong(listed, view.shown, { now, zone }).reduce((sum, { data }) => sum + data.length, 0),
      ),
    [views, listed, now, zone],
  );
  const open = JSON.stringify(shown);
  return (
    <>
      {views.map((view, index) => {
        const isOn = JSON.stringify(view.shown) === open;
        return (
          <FilterChip
            key={view.name}
            word={view.name}
            count={counts[index] ?? 0}
            isOn={isOn}
            onPress={() => onChange(isOn ? allWork : openView(view))}
          />
        );
      })}
    </>
  );
}
