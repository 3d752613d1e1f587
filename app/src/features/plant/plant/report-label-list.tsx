import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { hasRole } from '@oilcan/core/operations';
import type { Asset } from '@oilcan/core/plant/plant';
import { now, peekRow, usePhone, useRows, useSettings } from '../../../data/store/store';
import { performOrSay } from '../../../data/store/use-operation';
import { Button } from '../../../ui/press/press';
import { Row, Section } from '../../../ui/layout/section';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';

/** For a lead: the labels of a machine by which everybody may report. One that was lost or copied is withdrawn. */
export function ReportLabelList({ asset }: { readonly asset: Asset }): ReactElement | null {
  const labels = useRows('reportLabels', 'asset', asset.id);
  const settings = useSettings(asset.siteId);
  const isLead = usePhone((state) => state.person !== null && hasRole(state.person, ['lead']));
  if (!isLead || settings === undefined || labels.length === 0) return null;
  return (
    <Section title="Labels to report by">
      {labels.map(({ id, by, at, withdrawn }) => (
        <Row key={id}>
          <View style={sheet.words}>
            <AppText>…{id.slice(-6)}</AppText>
            <AppText as="small" soft>
              {withdrawn === null ? 'printed' : 'withdrawn'} by{' '}
              {peekRow('people', (withdrawn ?? { by }).by)?.name ?? 'somebody'},{' '}
              {sayMoment((withdrawn ?? { at }).at, now(), settings.zone, settings.language)}
            </AppText>
          </View>
          {withdrawn === null ? (
            <Button
              word="Withdraw"
              label={`Withdraw the label that ends in ${id.slice(-6)}`}
              onPress={() => void performOrSay('report-label.withdraw', { key: id })}
            />
          ) : null}
        </Row>
      ))}
    </Section>
  );
}

const sheet = StyleSheet.create({ words: { flex: 1, minWidth: 0 } });
