import { mdiChevronDown, mdiChevronUp } from '@mdi/js';
import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Dangers } from '@oilcan/core/orders/hazards';
import type { Asset } from '@oilcan/core/plant/plant';
import { useDangers } from '../../../data/queries/use-dangers';
import { Icon } from '../../../ui/theme/icon';
import { Press } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { counted, energyWords } from '../../../words/work-words';
import { List } from '../../../ui/layout/list';

/** What endangers whoever works on a machine, and where its energy is kept away; nothing where the register has nothing. */
export function DangersThere({ asset }: { readonly asset: Asset }): ReactElement | null {
  const dangers = useDangers(asset);
  if (dangers === null || dangers.hazards.length + dangers.isolation.length === 0) return null;
  return (
    <Section title="Hazards and isolation">
      <List label="Hazards">
        {dangers.hazards.map(({ id, hazard, control }) => (
          <View key={id} style={sheet.row}>
            <AppText>{hazard}</AppText>
            <AppText soft>{control}</AppText>
          </View>
        ))}
      </List>
      <LockPoints isolation={dangers.isolation} />
    </Section>
  );
}

/** Where the energy of a machine is kept away, in the order in which it is locked, and how it is seen that none is left. */
function LockPoints({ isolation }: Pick<Dangers, 'isolation'>): ReactElement {
  return (
    <>
      <List label="Isolation points">
        {isolation.map(({ id, energy, device, test }, index) => (
          <View key={id} style={sheet.row}>
            <AppText>
              Lock {index + 1}: {device}
            </AppText>
            <AppText soft>
              {energyWords[energy]} · test: {test}
            </AppText>
          </View>
        ))}
      </List>
    </>
  );
}

/** At a stop of a round, where one looks: what is locked before the machine is opened, on a press; nothing where there is nothing. */
export function BeforeOpening({ asset }: { readonly asset: Asset }): ReactElement | null {
  const dangers = useDangers(asset);
  const [isShown, setIsShown] = useState(false);
  if (dangers === null || dangers.isolation.length === 0) return null;
  const locks = counted(dangers.isolation.length, 'lock', 'locks');
  return (
    <View role="group" aria-label="Before it is opened">
      <Press
        label={`${isShown ? 'Hide' : 'Show'} ${locks} before it is opened`}
        onPress={() => setIsShown(!isShown)}
        style={sheet.shown}
      >
        <AppText as="label">Before it is opened: {locks}</AppText>
        <Icon path={isShown ? mdiChevronUp : mdiChevronDown} size={20} />
      </Press>
      {isShown ? <LockPoints isolation={dangers.isolation} /> : null}
    </View>
  );
}

const sheet = StyleSheet.create({
  row: { paddingVertical: 6, gap: 2 },
  shown: { flexDirection: 'row', alignItems: 'center', alignSelf: 'flex-start', justifyContent: 'flex-start', gap: 6 },
});
