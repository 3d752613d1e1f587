import { mdiAccountArrowRightOutline, mdiChevronRight } from '@mdi/js';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { costOfShares } from '@oilcan/core/registry';
import { inOrderMade, progressOfShares, type Share } from '@oilcan/core/recording/shares';
import type { Step } from '@oilcan/core/steps/steps';
import { isOpen, type WorkOrder } from '@oilcan/core/orders/work';
import { useRows, useRowsLater, useSettings } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { RowDipstick } from '../../../ui/drawn/dipstick';
import { Icon } from '../../../ui/theme/icon';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { Choice, Choices } from '../../../ui/fields/choice';
import { Button, Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { shareElement } from './share-element';
import { aboutWords, standingWords, whoseWords } from './share-words';
import { useStepsInSight } from './steps-in-sight';
import { List } from '../../../ui/layout/list';

const ShareSheet = lazyComponent(() => import('./share-sheet').then((module) => module.ShareSheet));
const ShareForm = lazyComponent(() => import('./share-form').then((module) => module.ShareForm));

/** Loads what opens from the shares, so that it opens without signal too. */
export async function loadShareSheets(): Promise<void> {
  await Promise.all([ShareSheet.load(), ShareForm.load()]);
}

interface Props {
  readonly work: WorkOrder;
  readonly steps: readonly Step[];
}

/** Who has which share of a job, and how far each is; nothing where there are none. */
export function ShareLines({ work, steps }: Props): ReactElement | null {
  const palette = usePalette();
  const me = useMe();
  const settings = useSettings(work.siteId);
  const shares = useRows('shares', 'workOrder', work.id);
  const entries = useRowsLater('entries', 'workOrder', shares.length === 0 ? undefined : work.id);
  const inSight = useStepsInSight(work, steps);
  const [opened, setOpened] = useState<string | null>(null);
  const progress = useMemo(() => progressOfShares(shares, steps), [shares, steps]);
  const costs = useMemo(
    () => (shares.length === 0 ? null : costOfShares(shares, steps, entries)),
    [shares, steps, entries],
  );
  if (costs === null) return null;
  const open = shares.find(({ id }) => id === opened);
  return (
    <View role="group" aria-label="Shares">
      <List label="Shares">
        {ownFirst(inOrderMade(shares), me).map((share) => {
          const standing = progress.get(share.id) ?? { done: 0, of: 0 };
          const spent = costs.shares.get(share.id)?.laborMinutes ?? 0;
          return (
            <View key={share.id} id={shareElement(share.id)}>
              <Press onPress={() => setOpened(share.id)} style={[sheet.line, { borderColor: palette.line }]}>
                <RowDipstick {...standing} />
                <View style={sheet.words}>
                  <AppText as="label">{whoseWords(share, me)}</AppText>
                  <AppText as="small" soft>
                    {aboutWords(share, work, settings)}
                  </AppText>
                  <AppText as="small">{standingWords(standing, spent, share.plannedMinutes)}</AppText>
                </View>
                <Icon path={mdiChevronRight} />
              </Press>
            </View>
          );
        })}
      </List>
      {inSight.canChoose ? (
        <View style={sheet.choice}>
          <Choices label="Which steps">
            <Choice word="My share" isChosen={inSight.isOwn} onPress={() => inSight.choose(true)} />
            <Choice word="All steps" isChosen={!inSight.isOwn} onPress={() => inSight.choose(false)} />
          </Choices>
        </View>
      ) : null}
      {open === undefined ? null : (
        <ShareSheet work={work} share={open} steps={steps} onClose={() => setOpened(null)} />
      )}
    </View>
  );
}

function ownFirst(shares: readonly Share[], me: string): Share[] {
  return [...shares.filter(({ personId }) => personId === me), ...shares.filter(({ personId }) => personId !== me)];
}

/** The way to another share. */
export function ShareOut({ work }: Pick<Props, 'work'>): ReactElement | null {
  const steps = useRows('steps', 'workOrder', work.id);
  const [isMaking, setIsMaking] = useState(false);
  if (!isOpen(work.state) || steps.length === 0) return null;
  return (
    <>
      <Button word="Give steps to somebody" icon={mdiAccountArrowRightOutline} onPress={() => setIsMaking(true)} />
      {isMaking ? <ShareForm work={work} steps={steps} share={null} onClose={() => setIsMaking(false)} /> : null}
    </>
  );
}

const sheet = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: 10, borderBottomWidth: 1, paddingVertical: 8 },
  words: { flex: 1, minWidth: 0 },
  choice: { paddingVertical: 10 },
});
