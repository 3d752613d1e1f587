import { useMemo, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, useWindowDimensions, View } from 'react-native';
import { readDone, type DoneLine } from '@oilcan/core/raising/already-done';
import type { AssetId, Instant } from '@oilcan/core/kernel';
import type { Asset } from '@oilcan/core/plant/plant';
import { useDictation } from '../../../data/browser/dictation';
import { forgetDraft } from '../../../data/store/drafts';
import { now, useRow, useSettings, useTable } from '../../../data/store/store';
import { FormRefusal } from '../../../forms/form-refusal';
import { Field } from '../../../ui/fields/field';
import { Choice, Choices } from '../../../ui/fields/choice';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { otherRaised, TakenAlong, WhereField, type RaiseDraft, type RaisedAt } from '../raise';
import { WhatItBecomes } from './what-it-becomes';
import { DictateKey } from '../../../forms/dictate-key';

const MOST_OFFERED = 3;
const ROOMY_HEIGHT = 700;
const EXAMPLE = 'pump 2: packing replaced, 2 h just now, 1x pack-12, stood still since nine';

interface Props {
  /** What was said on the page that raises it, by any of its ways. */
  readonly draft: RaiseDraft;
  readonly at: RaisedAt;
  /** What else could become of it. */
  readonly ways: ReactElement;
}

/** One line about work that was done without a work order; what it means stands below, and is kept as a work order with its entries. */
export function DoneScreen({ draft, at, ways }: Props): ReactElement | null {
  const back = useBack('/shift');
  const assetId = at?.is === 'asset' ? at.id : null;
  const line = draft.words;
  const [others, setOthers] = useState(() =>
    line === '' ? otherRaised(draft.where, 'done').slice(0, MOST_OFFERED) : [],
  );
  const [chosen, setChosen] = useState<AssetId | null>(null);
  const [leftOut, setLeftOut] = useState<Readonly<Record<AssetId, readonly string[]>>>({});
  const { height } = useWindowDimensions();
  const assets = useTable('assets');
  const settings = useSettings();
  // Times are counted back from when the screen was opened or the line last changed.
  const [present, setPresent] = useState<Instant>(now);
  const write = (text: string): void => {
    setPresent(now());
    draft.change({ words: text });
  };
  const dictation = useDictation((spoken) => write(`${line} ${spoken}`.trim()));
  const read = useMemo(
    () => readDone(line, { assets, now: present, zone: settings?.zone ?? 'UTC' }),
    [line, assets, present, settings],
  );
  const likeliest = read.machines[0]?.asset.id ?? null;
  const sheets = useRow('assets', assetId);
  const asset = useRow('assets', chosen ?? machineMeant(read, sheets) ?? likeliest);
  if (settings === undefined) return null;
  // Then it is one scroll: else what the line becomes would have no room below it.
  const isCramped = height < ROOMY_HEIGHT || draft.photos.length > 0 || draft.voice !== null;
  const goOnWith = ({ where: begun, words }: (typeof others)[number]): void => {
    write(words);
    // It may be of another machine than the one where it is gone on with.
    setChosen(null);
    forgetDraft(begun);
    setOthers([]);
  };
  const machines = chosen === null ? read.machines.slice(1, 4) : [];
  const said = (
    <View style={sheet.head}>
      {ways}
      <Field
        label="What was done, in one line"
        value={line}
        onChange={write}
        lines={3}
        hint={EXAMPLE}
        error={draft.wrongWords}
        autoFocus
      />
      <DictateKey of={dictation} />
      <FormRefusal sentence={dictation?.error ?? null} />
      {line !== '' || others.length === 0 ? null : (
        <>
          <AppText as="label">Half-written before: go on with it</AppText>
          <Choices label="Half-written before: go on with it">
            {others.map((each) => (
              <Choice key={each.where} word={beginningOf(each.words)} isChosen={false} onPress={() => goOnWith(each)} />
            ))}
          </Choices>
        </>
      )}
      <TakenAlong photos={draft.photos} voice={draft.voice} onChange={draft.change} />
      {line.trim() === '' ? null : (
        <>
          <WhereField
            at={asset === undefined ? null : { is: 'asset', id: asset.id }}
            onChoose={(at) => setChosen(at?.is === 'asset' ? at.id : null)}
            isMachineOnly
          />
          {machines.length === 0 ? null : (
            <Choices label="Or another machine">
              {machines.map(({ asset: other }) => (
                <Choice key={other.id} word={other.name} isChosen={false} onPress={() => setChosen(other.id)} />
              ))}
            </Choices>
          )}
        </>
      )}
    </View>
  );
  const becomes =
    asset === undefined || line.trim() === '' ? null : (
      <WhatItBecomes
        key={asset.id}
        asset={asset}
        read={read}
        line={line}
        settings={settings}
        present={present}
        taken={draft}
        isWithin={isCramped}
        leftOut={leftOut[asset.id] ?? []}
        onLeaveOut={(keys) => setLeftOut({ ...leftOut, [asset.id]: keys })}
        onKept={draft.forget}
        refused={draft.refused}
      />
    );
  return (
    <View style={sheet.screen}>
      <TopBar title="Raise" aside="already done" {...back} />
      {isCramped ? (
        <ScrollView role="main" keyboardShouldPersistTaps="handled">
          {said}
          {becomes}
        </ScrollView>
      ) : (
        <>
          {said}
          {becomes}
        </>
      )}
    </View>
  );
}

/** A machine that the line names with its whole name, before the one where it was begun. */
function machineMeant({ machines }: DoneLine, begunAt: Asset | undefined): AssetId | null {
  const [named] = machines;
  if (begunAt === undefined) return null;
  // “pump”, said of Pump 2 where another machine is just called Pump, is this one.
  const isOther = named?.isWhole === true && !begunAt.name.toLowerCase().includes(named.asset.name.toLowerCase());
  return isOther ? named.asset.id : begunAt.id;
}

const LONGEST_SHOWN = 60;
const beginningOf = (text: string): string =>
  text.length <= LONGEST_SHOWN ? text : `${text.slice(0, LONGEST_SHOWN - 1)}…`;

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  head: { padding: 16, paddingBottom: 4, gap: 10, width: '100%', maxWidth: 720 },
});
