import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Asset } from '@oilcan/core/plant';
import { now, peekRow, useRows, useSettings } from '../../data/store';
import { Icon } from '../../ui/icon';
import { Press } from '../../ui/press';
import { usePalette } from '../../ui/use-palette';
import { Words } from '../../ui/words';
import { Section } from '../../ui/section';
import { lines } from './asset-lines';
import { isUnderWarranty, sayDate } from './dates-of-plate';
import { conditionWords } from '../../words/plant-words';
import { mdiChevronRight } from '@mdi/js';

export function Structure({ asset }: { readonly asset: Asset }): ReactElement | null {
  const palette = usePalette();
  const router = useRouter();
  const parts = useRows('assets', 'parent', asset.id);
  if (parts.length === 0) return null;
  return (
    <Section title="Made of">
      {parts.map((part) => (
        <Press
          key={part.id}
          role="link"
          onPress={() => router.navigate(`/plant/${part.id}`)}
          style={[lines.line, lines.linked, { borderColor: palette.line }]}
        >
          <View style={lines.words}>
            <Words>{part.name}</Words>
            <Words as="small" soft>
              {part.tag}
              {part.condition === 'running' ? '' : ` · ${conditionWords[part.condition]}`}
            </Words>
          </View>
          <Icon path={mdiChevronRight} color={palette.inkSoft} />
        </Press>
      ))}
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
      {installed.map(({ id, partId, serial, since, warrantyUntil }) => (
        <View key={id} style={[lines.line, lines.linked, { borderColor: palette.line }]}>
          <View style={lines.words}>
            <Words>{peekRow('parts', partId)?.name ?? partId}</Words>
            <Words as="small" soft>
              {serial} · in since {sayDate(since, language)}
            </Words>
            {warrantyUntil === null ? null : (
              <Words as="small" soft={!isUnderWarranty(warrantyUntil, now())}>
                {isUnderWarranty(warrantyUntil, now()) ? 'Under warranty until' : 'Warranty ended'}{' '}
                {sayDate(warrantyUntil, language)}
              </Words>
            )}
          </View>
        </View>
      ))}
    </Section>
  );
}

export function Nameplate({ asset }: { readonly asset: Asset }): ReactElement {
  const settings = useSettings();
  const { maker, model, serial, inServiceSince, warrantyUntil, ratings } = asset.nameplate;
  const language = settings?.language ?? 'en';
  const warranty =
    warrantyUntil === null
      ? 'none'
      : `until ${sayDate(warrantyUntil, language)}${isUnderWarranty(warrantyUntil, now()) ? '' : ', over'}`;
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
      {lines.map(([label, value]) => (
        <View key={label} style={sheet.plate}>
          <Words soft style={sheet.plateLabel}>
            {label}
          </Words>
          <Words style={sheet.plateValue}>{value}</Words>
        </View>
      ))}
    </Section>
  );
}

const sheet = StyleSheet.create({
  plate: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'flex-start', columnGap: 12, paddingTop: 8 },
  plateLabel: { width: 140 },
  plateValue: { flexGrow: 1, flexShrink: 1, flexBasis: 130, minWidth: 0 },
});
