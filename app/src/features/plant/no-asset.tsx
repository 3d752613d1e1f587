import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isOpen } from '@oilcan/core/work';
import { useTable } from '../../data/store';
import { Words } from '../../ui/words';
import { counted } from '../../words/work-words';
import { TopBar } from '../page/top-bar';

/** Beside the tree, before a machine was chosen. */
export function NoAsset(): ReactElement {
  const assets = useTable('assets');
  const open = useTable('workOrders').filter((work) => isOpen(work.state)).length;
  return (
    <View style={sheet.screen}>
      <TopBar title="" isBeside isNamedBelow />
      <View style={sheet.words}>
        <Words as="title" level={2}>
          {counted(assets.length, 'machine', 'machines')}, {counted(open, 'open job', 'open jobs')}
        </Words>
        <Words soft>Choose a machine in the tree to see how it is, what is open on it and what its past says.</Words>
      </View>
    </View>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  words: { padding: 24, gap: 8, maxWidth: 640 },
});
