import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { isWarrantyRunning, type Asset, type Installation } from '@oilcan/core/plant/plant';
import { now, peekRow, useRow, useRows, useSettings } from '../../../data/store/store';
import { LinkPress } from '../../../ui/press/link-press';
import { Icon } from '../../../ui/theme/icon';

import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { Section } from '../../../ui/layout/section';
import { lines } from './asset-lines';
import { sayDate } from '../../../words/dates';
import { conditionWords } from '../../../words/plant-words';
import { mdiChevronRight } from '@mdi/js';
import { List } from '../../../ui/layout/list';

export function Structure({ asset }: { readonly asset: Asset }): ReactElement | null {
  const palette = usePalette();
  const parts = useRows('assets', 'parent', asset.id);
  if (parts.length === 0) return null;
  return (
    <Section title="Made of">
      <List label="Parts of it">
        {parts.map((part) => (
          <LinkPress
            key={part.id}
            href={`/plant/${part.id}`}
            style={[lines.line, lines.linked, { borderColor: palette.line }]}
          >
            <View style={lines.words}>
              <AppText>{part.name}</AppText>
              <AppText as="small" soft>
                {part.tag}
                {part.condition === 'running' ? '' : ` · ${conditionWords[part.condition]}`}
              </AppText>
            </View>
            <Icon path={mdiChevronRight} color={palette.inkSoft} />
          </LinkPress>
        ))}
      </List>
    </Section>
  );
}

/** Parts with numbers of their own, and whether they are under warranty still. */
export function Installed({ asset }: { readonly asset: Asset }): ReactElement | null {
  const palette = usePalette();
  const settings = useSettings();
  const installed = useRows('installations', 'asset', asset.id);
  const language = settings?.language ?? 'en';
  if (installed.length === 0) return null;
  return (
    <Section title="Parts with a serial number">
      <List label="Built in">
        {installed.map(({ id, partId, serial, since, warrantyUntil, warrantyMeter }) => (
          <View key={id} style={[lines.line, lines.linked, { borderColor: palette.line }]}>
            <View style={lines.words}>
              <AppText>{peekRow('parts', partId)?.name ?? partId}</AppText>
              <AppText as="small" soft>
                {serial} · in since {sayDate(since, language)}
              </AppText>
              <WarrantyWords warrantyUntil={warrantyUntil} warrantyMeter={warrantyMeter} language={language} />
            </View>
          </View>
        ))}
      </List>
    </Section>
  );
}

interface WarrantyProps {
  readonly warrantyUntil: string | null;
  readonly warrantyMeter: Installation['warrantyMeter'];
  readonly language: string;
}

/** Until when or up to what the warranty runs, or that it has ended. */
function WarrantyWords({ warrantyUntil, warrantyMeter, language }: WarrantyProps): ReactElement | null {
  const point = useRow('points', warrantyMeter?.pointId);
  const limits = [
    ...(warrantyUntil === null ? [] : [sayDate(warrantyUntil, language)]),
    ...(warrantyMeter === undefined ? [] : [`${warrantyMeter.upTo} ${point?.unit ?? ''} on its meter`]),
  ];
  if (limits.length === 0) return null;
  const warranty = { warrantyUntil, ...(warrantyMeter === undefined ? {} : { warrantyMeter }) };
  const runs = isWarrantyRunning(warranty, now(), point?.latest.at(-1)?.value ?? null);
  return (
    <AppText as="small" soft={!runs}>
      {runs ? 'Under warranty until' : 'Warranty ended'} {limits.join(' or ')}
    </AppText>
  );
}

export function Nameplate({ asset }: { readonly asset: Asset }): ReactElement {
  const settings = useSettings();
  const { maker, model, serial, inServiceSince, warrantyUntil, ratings } = asset.nameplate;
  const language = settings?.language ?? 'en';
  const warranty =
    warrantyUntil === null
      ? 'none'
      : `until ${sayDate(warrantyUntil, language)}${isWarrantyRunning({ warrantyUntil }, now(), null) ? '' : ', over'}`;
  const lines: readonly (readonly [string, string])[] = [
    ['Maker', maker],
    ['Model', model],
    ['Serial', serial],
    ['In service since', sayDate(inServiceSince, language)],
    ['Warranty', warranty],
    ...ratings.map(({ label, value }) => [label, value] as const),
  ];
  return (
    <Section title="Nameplate">
      <List label="Ratings">
        {lines.map(([label, value]) => (
          <View key={label} style={sheet.plate}>
            <AppText soft style={sheet.plateLabel}>
              {label}
            </AppText>
            <AppText style={sheet.plateValue}>{value}</AppText>
          </View>
        ))}
      </List>
    </Section>
  );
}

const sheet = StyleSheet.create({
  plate: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-start', columnGap: 12, paddingTop: 8 },
  plateLabel: { width: 140 },
  plateValue: { flexGrow: 1, flexShrink: 1, flexBasis: 130, minWidth: 0 },
});
