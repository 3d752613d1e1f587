import { useMemo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { reportedBy, WhatIsKnown, type Known } from '@oilcan/core/raising/reports';
import { peekRow, peekRows, useTable } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { Row } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { counted, stateOf } from '../../../words/work-words';
import type { RaisedAt } from './where-field';
import { List } from '../../../ui/layout/list';

const MOST_SHOWN = 4;

interface Props {
  readonly at: RaisedAt;
  readonly words: string;
  readonly onJoined: () => void;
}

/** What is known there already, by the words as they are typed: one press joins it instead of reporting it once more. */
export function KnownThere({ at, words, onJoined }: Props): ReactElement | null {
  const works = useTable('workOrders');
  const reports = useTable('reports');
  const assets = useTable('assets');
  const places = useTable('places');
  const say = useNotice((state) => state.say);
  const known = useMemo(() => new WhatIsKnown(works, reports, { assets, places }), [works, reports, assets, places]);
  const there = { assetId: at?.is === 'asset' ? at.id : null, placeId: at?.is === 'place' ? at.id : null };
  const found = known.find(there, words, MOST_SHOWN);
  if (found.length === 0) return null;
  const join = async (each: Known): Promise<void> => {
    const isTaken =
      each.is === 'work'
        ? await performOrSay('report.me-too-on-work', { number: null, workOrderId: each.work.id })
        : await performOrSay('report.me-too', { reportId: each.report.id });
    if (!isTaken) return;
    say('Counted. You hear what becomes of it.');
    onJoined();
  };
  return (
    <View role="region" aria-label="Already known" style={sheet.known}>
      <AppText as="label">Already known</AppText>
      <List label="Already known">
        {found.map((each) => (
          <Row key={each.is === 'work' ? each.work.id : each.report.id} wraps>
            <View style={sheet.words}>
              <AppText lines={3}>{each.is === 'work' ? each.work.title : each.report.words}</AppText>
              <AppText as="small" soft>
                {statusOf(each)}
              </AppText>
            </View>
            <Button
              word="That’s it, me too"
              label={`That’s it, me too: ${each.is === 'work' ? each.work.title : each.report.words}`}
              onPress={() => void join(each)}
            />
          </Row>
        ))}
      </List>
    </View>
  );
}

function statusOf(known: Known): string {
  const { assetId, placeId } = known.is === 'work' ? known.work : known.report;
  const where = assetId === null ? peekRow('places', placeId)?.name : peekRow('assets', assetId)?.name;
  return `${where ?? 'Somewhere'} · ${howItStands(known)}`;
}

function howItStands(known: Known): string {
  if (known.is === 'report') {
    const count = reportedBy(known.report);
    return `${known.report.number} · reported${count === 1 ? '' : ` by ${count}`}, not taken up yet`;
  }
  const { work } = known;
  const count = peekRows('reports', 'work', work.id).reduce((sum, report) => sum + reportedBy(report), 0);
  return `${work.number} · ${stateOf(work)}${count === 0 ? '' : ` · reported by ${counted(count, 'person', 'people')}`}`;
}

const sheet = StyleSheet.create({
  known: { gap: 2 },
  words: { flexGrow: 1, flexShrink: 1, flexBasis: 150, minWidth: 0, gap: 2 },
});
