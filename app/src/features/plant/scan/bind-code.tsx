import { useRouter } from 'expo-router';
import { useMemo, useState, type ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { isOpen } from '@oilcan/core/orders/work';
import { peekRow, usePhone, useRow, useTable } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { useOperationForm } from '../../../forms/use-operation-form';
import { FindField } from '../../../ui/fields/find-field';
import { Button, Press } from '../../../ui/press/press';
import { usePalette } from '../../../ui/theme/use-palette';
import { AppText } from '../../../ui/theme/app-text';
import { useFoundAssets } from '../../../data/find/use-found';

const MOST_SHOWN = 8;

interface Props {
  readonly code: string;
  /** Whether the server was asked, and does not know it. */
  readonly isSure: boolean;
  readonly onAgain: () => void;
}

/** A label that belongs to nothing yet: the machine it sticks on is chosen and bound, in two taps. */
export function BindCode({ code, isSure, onAgain }: Props): ReactElement {
  const router = useRouter();
  const [find, setFind] = useState('');
  const likely = useLikelyAssets(find);
  const { form, submit, refusal } = useOperationForm({
    operation: 'code.bind',
    about: code,
    defaultValues: { assetId: null as AssetId | null },
    read: ({ assetId: id }) =>
      id === null ? { unreadable: 'assetId', hint: 'Choose a machine first.' } : { args: { code, assetId: id } },
    said: (args) => `${code} belongs to ${peekRow('assets', args.assetId)?.name ?? 'it'} now.`,
    onDone: () => router.replace(`/plant/${form.getValues('assetId') ?? ''}`),
  });
  const assetId = form.watch('assetId');
  const chosen = useRow('assets', assetId);
  return (
    <>
      <AppText as="title" level={2}>
        {code} is not known
      </AppText>
      <AppText soft live>
        {isSure
          ? 'No machine of your sites has this label. If it sticks on one, choose that machine.'
          : 'This phone does not know it, and without signal it cannot ask. If you know the machine that it sticks on, choose it.'}
      </AppText>
      <FindField label="Find the machine" value={find} onChange={setFind} />
      <View role="radiogroup" aria-label="The machine that it sticks on">
        {likely.map((asset) => (
          <AssetChoice
            key={asset.id}
            asset={asset}
            isChosen={asset.id === assetId}
            onPress={() => form.setValue('assetId', asset.id)}
          />
        ))}
        {likely.length === 0 ? <AppText>No machine fits “{find.trim()}”.</AppText> : null}
      </View>
      <FormRefusal sentence={form.formState.errors.assetId?.message ?? refusal} />
      <Button
        rank="primary"
        word={chosen === undefined ? 'Choose a machine first' : `Bind it to ${chosen.name}`}
        cannot={chosen === undefined && 'Choose a machine first.'}
        onPress={submit}
      />
      <Button word="Scan another" onPress={onAgain} />
    </>
  );
}

/** What was typed, or before anything was: the machines of my open work. */
function useLikelyAssets(find: string): readonly Asset[] {
  const assets = useTable('assets');
  const works = useTable('workOrders');
  const me = usePhone((state) => state.person?.id);
  const found = useFoundAssets(find, MOST_SHOWN);
  return useMemo(() => {
    if (find.trim() !== '') return found;
    const mine = new Set(
      works
        .filter((work) => isOpen(work.state) && work.personIds.some((id) => id === me))
        .map(({ assetId }) => assetId),
    );
    return assets.filter(({ id }) => mine.has(id)).slice(0, MOST_SHOWN);
  }, [find, found, works, assets, me]);
}

function AssetChoice({
  asset,
  isChosen,
  onPress,
}: {
  readonly asset: Asset;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}): ReactElement {
  const palette = usePalette();
  const place = useRow('places', asset.placeId);
  return (
    <Press
      role="radio"
      checked={isChosen}
      onPress={onPress}
      style={[sheet.row, { borderColor: palette.line, backgroundColor: isChosen ? palette.chosen : 'transparent' }]}
    >
      <AppText>{asset.name}</AppText>
      <AppText as="small" soft>
        {asset.tag} · {place?.name ?? ''}
      </AppText>
    </Press>
  );
}

const sheet = StyleSheet.create({
  row: { borderBottomWidth: 1, paddingVertical: 6, paddingHorizontal: 4 },
});
