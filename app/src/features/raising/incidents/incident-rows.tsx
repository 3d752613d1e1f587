import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet } from 'react-native';
import type { Incident } from '@oilcan/core/raising/incidents';
import { fitsFind } from '../../../data/queries/fits-find';
import { now, useRow, useSettings, useTable } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Button } from '../../../ui/press/press';
import { Section } from '../../../ui/layout/section';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { sayMoment } from '../../../words/dates';
import { incidentKindWords } from './incident-words';

const MOST_SHOWN = 5;

/**
 * The incidents that concern me, the open ones first; nothing where none does.
 *
 * @param find only those in which these words stand
 */
export function IncidentRows({ find = '' }: { readonly find?: string }): ReactElement | null {
  const incidents = useTable('incidents');
  const [isWhole, setIsWhole] = useState(false);
  const listed = useMemo(
    () =>
      incidents
        .filter((incident) => fitsFind(incident, find))
        .sort((a, b) => Number(a.closed !== null) - Number(b.closed !== null) || (a.at < b.at ? 1 : -1)),
    [incidents, find],
  );
  if (listed.length === 0) return null;
  return (
    <Section title="Incidents" aside="seen only by those whom they concern">
      {listed.slice(0, isWhole ? undefined : MOST_SHOWN).map((incident) => (
        <IncidentRow key={incident.id} incident={incident} />
      ))}
      {isWhole || listed.length <= MOST_SHOWN ? null : (
        <Button word={`All ${listed.length} incidents`} style={sheet.all} onPress={() => setIsWhole(true)} />
      )}
    </Section>
  );
}

function IncidentRow({ incident }: { readonly incident: Incident }): ReactElement {
  const palette = usePalette();
  const place = useRow('places', incident.placeId);
  const settings = useSettings(incident.siteId);
  return (
    <LinkPress href={`/reports/incident/${incident.id}`} style={[sheet.row, { borderColor: palette.line }]}>
      <AppText as="label">
        {incident.number} · {incidentKindWords[incident.kind]}
        {incident.closed === null ? '' : ' · closed'}
      </AppText>
      <AppText lines={2}>{incident.words}</AppText>
      <AppText as="small" soft>
        {place?.name ?? ''}
        {settings === undefined ? '' : `, ${sayMoment(incident.happenedAt, now(), settings.zone, settings.language)}`}
      </AppText>
    </LinkPress>
  );
}

const sheet = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: 10, gap: 2 },
  all: { marginTop: 12, alignSelf: 'flex-start' },
});
