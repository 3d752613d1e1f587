import { useState, type ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Press } from '../../../ui/press/press';
import { CORNER } from '../../../ui/theme/theme';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import type { HazardsFirst } from '../../orders/hazards';
import { useCommand } from '../../frame/keys/commands';

const ShorthandSheet = lazyComponent(() => import('./shorthand-sheet').then((module) => module.ShorthandSheet));

/** Loads what it opens, so that it opens without signal too. */
export const loadShorthandSheet = ShorthandSheet.load;

interface Props {
  readonly work: WorkOrder;
  readonly isPrepared: boolean;
  readonly onHazards: HazardsFirst;
}

/** The line above the dock in which several things are written at once. */
export function ShorthandLine({ work, isPrepared, onHazards }: Props): ReactElement {
  const palette = usePalette();
  const [isOpen, setIsOpen] = useState(false);
  const open = (): void => (isPrepared ? setIsOpen(true) : onHazards(() => setIsOpen(true)));
  useCommand('shorthand', open);
  return (
    <>
      <Press
        onPress={open}
        label="Write in one line"
        style={[sheet.line, { borderColor: palette.edge, backgroundColor: palette.card }]}
      >
        <AppText soft lines={2}>
          Write in one line
        </AppText>
      </Press>
      {isOpen ? <ShorthandSheet work={work} onClose={() => setIsOpen(false)} /> : null}
    </>
  );
}

const sheet = StyleSheet.create({
  line: { flexGrow: 1, flexShrink: 1, flexBasis: 130, borderWidth: 1, borderRadius: CORNER, paddingHorizontal: 12 },
});
