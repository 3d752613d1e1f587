import { memo, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { useRow } from '../../../data/store/store';
import { Icon } from '../../../ui/theme/icon';
import { LinkPress } from '../../../ui/press/link-press';
import { Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import type { PlantNode, PlantRow } from './plant-tree';
import { byArrows, treeRow } from './tree-keys';
import { conditionWords } from '../../../words/plant-words';
import { mdiChevronDown, mdiChevronRight } from '@mdi/js';

const INDENT = 16;

interface Props extends PlantRow {
  readonly isChosen: boolean;
  readonly isFound: boolean;
  readonly onTurn: (id: string, open: boolean) => void;
  readonly onGo: (id: string) => void;
}

/** A place or a machine in the tree: folded or not, how it is, and how much is open on it and below. */
export const TreeRow = memo(function TreeRow({
  node,
  depth,
  isOpen: open,
  isChosen,
  isFound,
  onTurn,
  onGo,
}: Props): ReactElement {
  const palette = usePalette();
  const { asset } = node;
  const place = useRow('places', isFound ? asset?.placeId : null);
  const canOpen = node.children.length > 0;
  const turn = (): void => onTurn(node.id, !open);
  const standing =
    asset !== null && asset.condition !== 'running' ? conditionWords[asset.condition] : standingWords(node, open);
  return (
    <View
      {...treeRow(depth)}
      {...{ onKeyDown: (event: KeyboardEvent) => byArrows(event, { canOpen, isOpen: open, turn }) }}
      style={[
        sheet.row,
        {
          borderColor: palette.line,
          paddingLeft: 8 + depth * INDENT,
          backgroundColor: isChosen ? palette.chosen : 'transparent',
        },
      ]}
    >
      {canOpen ? (
        <Press onPress={turn} isExpanded={open} label={`${open ? 'Fold' : 'Unfold'} ${node.name}`} style={sheet.turn}>
          <Icon path={open ? mdiChevronDown : mdiChevronRight} />
        </Press>
      ) : (
        <View style={sheet.leaf} />
      )}
      {asset === null ? (
        <Press onPress={turn} {...(canOpen ? { isExpanded: open } : {})} style={sheet.name}>
          <AppText as="label">{node.name}</AppText>
        </Press>
      ) : (
        <LinkPress href={`/plant/${asset.id}`} onGo={() => onGo(asset.id)} isHere={isChosen} style={sheet.name}>
          <AppText>{node.name}</AppText>
          <AppText as="small" soft>
            {asset.tag}
            {place === undefined ? '' : ` · ${place.name}`}
          </AppText>
        </LinkPress>
      )}
      <View style={sheet.facts}>
        {standing === null ? null : <AppText as="label">{standing}</AppText>}
        {node.open === 0 ? null : <AppText as="mark">{node.open} open</AppText>}
      </View>
    </View>
  );
});

/** Of a place or a closed machine: how many under it are not as they should be. */
function standingWords(node: PlantNode, open: boolean): string | null {
  const below = node.asset === null || !open ? node.out : 0;
  return below === 0 || (node.asset === null && open) ? null : `${below} out of order`;
}

const sheet = StyleSheet.create({
  // With very large text what is open goes under the name.
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    justifyContent: 'flex-end',
    borderBottomWidth: 1,
    minHeight: 52,
    paddingRight: 16,
  },
  turn: { alignItems: 'center' },
  leaf: { width: 20 },
  name: { flexGrow: 1, flexShrink: 1, flexBasis: 88, minWidth: 0, paddingVertical: 6 },
  facts: { alignItems: 'flex-end', paddingLeft: 8 },
});
