import { useMemo, useRef, type ReactElement } from 'react';
import type { FlatList } from 'react-native';
import { formatDuration } from '@oilcan/core/kernel';
import type { PastEvent, PastEventKind } from '@oilcan/core/past/past';
import { now, peekRow, useSettings } from '../../../data/store/store';
import { Button } from '../../../ui/press/press';
import { withSharedCode } from '../../../ui/loading/shared-code';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import type { TableColumn, TableProps } from '../../../ui/layout/sorted-table';
import { sayMoment } from '../../../words/dates';
import { kindWords, stateWords } from '../../../words/work-words';
import { useKeptScroll } from '../../frame/page/use-kept-scroll';
import { faultLine } from '../../recording/faults';
import { eventLine } from './event-words';

interface Props {
  readonly events: readonly PastEvent[];
  readonly kind: PastEventKind;
  /** What stands above the rows, with the press that saves them. */
  readonly top: (save: ReactElement) => ReactElement;
  readonly empty: ReactElement;
  readonly foot: ReactElement | null;
  /** Of the file it is saved to. */
  readonly name: string;
  /** Of the view. */
  readonly address: string;
}

const faultsOf = ({ job }: PastEvent): string => job.faults.map(faultLine).join(', ');
const tagOf = ({ job }: PastEvent): string => peekRow('assets', job.assetId)?.tag ?? '';
const workedOf = ({ job }: PastEvent): string => (job.activeMinutes === 0 ? '' : formatDuration(job.activeMinutes));
const Table = lazyComponent<TableProps<PastEvent>>(() =>
  import('../../../ui/layout/sorted-table').then((module) => module.SortedTable<PastEvent>),
);
const newestFirst = { id: 'at', desc: true };

/** The rows on a wide screen: sorted by any column, and saved as CSV. */
export function PastTable({ events, kind, top, empty, foot, name, address }: Props): ReactElement {
  const settings = useSettings();
  const scroller = useRef<FlatList<PastEvent>>(null);
  const kept = useKeptScroll(address, scroller);
  const columns = useMemo((): readonly TableColumn<PastEvent>[] => {
    const when = ({ at }: PastEvent): string =>
      settings === undefined ? at : sayMoment(at, now(), settings.zone, settings.language);
    return [
      { id: 'at', heading: 'When', width: 92, value: ({ at }) => at, words: when },
      { id: 'number', heading: 'Number', width: 74, value: ({ job }) => job.number },
      { id: 'what', heading: 'What', width: 240, grows: true, value: eventLine },
      { id: 'fault', heading: 'Fault', width: 190, grows: true, value: faultsOf },
      { id: 'kind', heading: 'Kind', width: 92, value: ({ job }) => kindWords[job.kind] },
      { id: 'state', heading: 'State', width: 84, value: ({ job }) => stateWords[job.state] },
      { id: 'worked', heading: 'Worked', width: 84, value: ({ job }) => job.activeMinutes, words: workedOf },
      { id: 'machine', heading: 'Machine', width: 84, value: tagOf },
    ];
  }, [settings]);
  const save = async (sorted: readonly PastEvent[], shown: readonly TableColumn<PastEvent>[]): Promise<void> => {
    const { saveTable } = await withSharedCode(() => import('../../../data/browser/save-table'));
    saveTable(
      `${name}-${kind}`,
      [...shown.map(({ heading }) => heading), 'Note'],
      sorted.map((event) => [...shown.map(({ value }) => value(event)), event.job.notes.join(' ')]),
    );
  };
  return (
    <Table
      name="past"
      label="The past"
      rows={events}
      columns={columns}
      idOf={({ id }) => id}
      sortedBy={newestFirst}
      top={(sorted, shown) =>
        top(
          <Button
            word="Save as CSV"
            cannot={sorted.length === 0 && 'No row is shown that could be saved.'}
            onPress={() => void save(sorted, shown)}
          />,
        )
      }
      empty={empty}
      foot={foot}
      opens={{ column: 'number', does: { href: ({ job }) => `/shift/${job.id}` } }}
      scroller={scroller}
      kept={kept}
    />
  );
}
