import { useRouter } from 'expo-router';
import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import type { AssetId } from '@oilcan/core/kernel';
import { pastScopes, type PastOf, type PastScope } from '@oilcan/core/past/past';
import { usePast } from '../../../data/queries/use-past';
import { useRow } from '../../../data/store/store';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { ASSET_MISSING, PLACE_MISSING } from '../../../words/plant-words';
import { scopeWords } from './event-words';
import { pastAddress } from './past-address';
import { PastRows } from './past-rows';
import { PastStanding } from './past-standing';

interface Opened {
  /** Key of the sentence or figure whose rows are opened. */
  readonly said?: string | undefined;
  /** The measuring point whose readings are opened. */
  readonly pointId?: string | undefined;
}

interface Props extends Opened {
  readonly assetId: string;
  readonly scope: PastScope;
}

/** What happened before to a machine: the answer, the pictures, then the rows. */
export function PastScreen({ assetId, scope, ...opened }: Props): ReactElement {
  const asset = useRow('assets', assetId);
  const place = useRow('places', asset?.placeId);
  const back = useBack(`/plant/${assetId}`);
  return (
    <View style={sheet.screen}>
      <TopBar title="What happened before" {...back} />
      {asset === undefined ? (
        <Missing words={ASSET_MISSING} />
      ) : (
        <ShownPast
          key={`${asset.id} ${scope}`}
          of={scope === 'place' ? { scope, id: asset.placeId } : { scope, id: asset.id }}
          from={asset.id}
          name={scope === 'place' ? (place?.name ?? 'Its place') : asset.name}
          fileName={asset.tag}
          {...opened}
        >
          <Whose scope={scope} />
        </ShownPast>
      )}
    </View>
  );
}

/** What happened at a place and within it. */
export function PlacePastScreen({ placeId, said }: Pick<Opened, 'said'> & { readonly placeId: string }): ReactElement {
  const place = useRow('places', placeId);
  const back = useBack(`/plant?place=${placeId}`);
  return (
    <View style={sheet.screen}>
      <TopBar title="What happened here" {...back} />
      {place === undefined ? (
        <Missing words={PLACE_MISSING} />
      ) : (
        <ShownPast
          key={place.id}
          of={{ scope: 'place', id: place.id }}
          from={null}
          name={place.name}
          fileName={place.name}
          said={said}
        />
      )}
    </View>
  );
}

function Missing({ words }: { readonly words: string }): ReactElement {
  return (
    <View role="main" style={sheet.missing}>
      <AppText>{words}</AppText>
    </View>
  );
}

interface ShownProps extends Opened {
  readonly of: PastOf;
  /** The machine from which it is looked at. */
  readonly from: AssetId | null;
  readonly name: string;
  readonly fileName: string;
  /** Below its name. */
  readonly children?: ReactElement;
}

function ShownPast({ of, from, name, children, ...shown }: ShownProps): ReactElement {
  const past = usePast(of);
  const head = (
    <>
      <AppText as="title" level={2}>
        {name}
      </AppText>
      {children}
    </>
  );
  if (past.is !== 'here' || past.whole === null) {
    return (
      <View role="main" style={sheet.missing}>
        {head}
        <PastStanding past={past.is === 'here' ? { is: 'reading' } : past} />
      </View>
    );
  }
  const { whole, isOld } = past;
  const address = pastAddress(of, from);
  return <PastRows of={of} name={name} address={address} past={whole} isOld={isOld} head={head} {...shown} />;
}

/** Whose past else it could be. */
function Whose({ scope }: { readonly scope: PastScope }): ReactElement {
  const router = useRouter();
  return (
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
  );
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  missing: { padding: 16, gap: 12 },
});
