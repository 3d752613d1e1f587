import { useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Settings } from '@oilcan/core/orders/settings';
import { now, peekRow, useRow, useRows } from '../../../data/store/store';
import { useMe } from '../../../data/store/use-me';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { Row, Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { counted } from '../../../words/work-words';

const SHOWN = 5;

/** Whether it is noted where my clock starts: asked once, off unless I agree, withdrawn at any time; and all that is kept of it. */
export function ClockPlaces({ settings }: { readonly settings: Settings }): ReactElement {
  const me = useMe();
  const agreement = useRow('placeAgreements', me);
  const places = useRows('clockPlaces', 'person', me);
  const [isWhole, setIsWhole] = useState(false);
  const agree = (isAgreed: boolean): void => void performOrSay('clock-place.agree', { isAgreed });
  const newest = [...places].sort((a, b) => (a.at < b.at ? 1 : -1));
  return (
    <Section title="Where my clock starts">
      {agreement === undefined ? (
        <>
          <AppText style={sheet.words}>
            Shall it be noted where you are when you start your clock? Only you see it, and you can withdraw it at any
            time: then it is deleted.
          </AppText>
          <View style={sheet.buttons}>
            <Button word="Yes, note it" onPress={() => agree(true)} />
            <Button word="No" onPress={() => agree(false)} />
          </View>
        </>
      ) : agreement.isAgreed ? (
        <>
          <AppText style={sheet.words}>
            It is noted, for you alone. {counted(places.length, 'place is', 'places are')} kept.
          </AppText>
          {newest.slice(0, isWhole ? newest.length : SHOWN).map(({ id, at, workOrderId, ...place }) => (
            <Row key={id}>
              <AppText style={sheet.grow}>
                {sayMoment(at, now(), settings.zone, settings.language)},{' '}
                {peekRow('workOrders', workOrderId)?.number ?? 'a job'}
              </AppText>
              <AppText as="small" soft>
                {place.latitude.toFixed(4)}, {place.longitude.toFixed(4)} within {place.accuracyMeters} m
              </AppText>
            </Row>
          ))}
          <View style={sheet.buttons}>
            {isWhole || newest.length <= SHOWN ? null : (
              <Button word={`Show all ${newest.length}`} onPress={() => setIsWhole(true)} />
            )}
            <Button word="Withdraw, and delete it" onPress={() => agree(false)} />
          </View>
        </>
      ) : (
        <>
          <AppText style={sheet.words}>It is not noted, and nothing of it is kept.</AppText>
          <View style={sheet.buttons}>
            <Button word="Note it from now on" onPress={() => agree(true)} />
          </View>
        </>
      )}
    </Section>
  );
}

const sheet = StyleSheet.create({
  words: { paddingVertical: 10 },
  buttons: { flexDirection: 'row', flexWrap: 'wrap', gap: 8 },
  grow: { flex: 1 },
});
