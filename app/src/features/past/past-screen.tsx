import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { pastScopes, type Asset, type PastScope } from '@oilcan/core';
import { usePast } from '../../data/past/use-past';
import { useRow } from '../../data/store';
import { Choice, Choices } from '../../ui/press';
import { Words } from '../../ui/words';
import { TopBar } from '../frame/top-bar';
import { useBack } from '../frame/use-back';
import { scopeWords } from './event-words';
import { PastRows } from './past-rows';
import { PastStanding } from './past-standing';

interface Props {
  readonly assetId: string;
  readonly scope: PastScope;
  /** Key of the sentence or figure whose rows are opened. */
  readonly said?: string | undefined;
  /** The measuring point whose readings are opened. */
  readonly pointId?: string | undefined;
}

/** What happened before: the answer, the pictures, then the rows. */
export function PastScreen({ assetId, ...asked }: Props): ReactElement {
  const asset = useRow('assets', assetId);
  const back = useBack(`/plant/${assetId}`);
  return (
    <View style={sheet.screen}>
      <TopBar title="What happened before" {...back} />
      {asset === undefined ? (
        <View role="main" style={sheet.missing}>
          <Words>This machine is not on this phone: it is on a site that you do not see, or does not exist.</Words>
        </View>
      ) : (
        <AssetPast key={`${asset.id} ${asked.scope}`} asset={asset} {...asked} />
      )}
    </View>
  );
}

function AssetPast({ asset, scope, ...asked }: Omit<Props, 'assetId'> & { readonly asset: Asset }): ReactElement {
  const past = usePast(asset, scope);
  const place = useRow('places', asset.placeId);
  const name = scope === 'place' ? (place?.name ?? 'Its place') : asset.name;
  const head = <Whose name={name} scope={scope} />;
  if (past.is !== 'here' || past.whole === null) {
    return (
      <View role="main" style={sheet.missing}>
        {head}
        <PastStanding past={past.is === 'here' ? { is: 'reading' } : past} />
      </View>
    );
  }
  const { whole, isOld } = past;
  return <PastRows asset={asset} name={name} scope={scope} past={whole} isOld={isOld} head={head} {...asked} />;
}

/** Whose past it is, and whose it could be. */
function Whose({ name, scope }: { readonly name: string; readonly scope: PastScope }): ReactElement {
  const router = useRouter();
  return (
    <>
      <Words as="title" level={2}>
        {name}
      </Words>
      <Choices label="Whose past">
        {pastScopes.map((each) => (
          <Choice
            key={each}
            word={scopeWords[each]}
            isChosen={each === scope}
            onPress={() => router.setParams({ with: each })}
          />
        ))}
      </Choices>
    </>
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  missing: { padding: 16, gap: 12 },
});
