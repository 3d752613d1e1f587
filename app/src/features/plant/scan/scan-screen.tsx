import { useRouter } from 'expo-router';
import { useCallback, useEffect, useState, type ReactElement } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { OilcanError } from '@oilcan/core/kernel';
import { mdiPackageVariantClosed } from '@mdi/js';
import { readCode } from '@oilcan/core/plant/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { Part } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { httpLink } from '../../../data/server/http-link';
import type { ScannerTrouble } from '../../../data/scanner/scanner';
import { useCamera } from '../../../data/scanner/use-camera';
import { usePhone, useRow } from '../../../data/store/store';
import { Field } from '../../../ui/fields/field';
import { Button } from '../../../ui/press/press';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { TopBar } from '../../frame/page/top-bar';
import { useBack } from '../../frame/page/use-back';
import { useIsDemo } from '../../frame/page/use-is-demo';
import { BindCode } from './bind-code';
import { foundOnPhone } from '../../../data/scanner/coded-rows';

const troubleWords: Readonly<Record<ScannerTrouble | 'stopped', string>> = {
  refused:
    'Oilcan may not use the camera. Type the code below, or allow the camera in the settings of your browser and come back.',
  absent: 'No camera can be used here. Type the code that is printed under the bars.',
  busy: 'Another application uses the camera. Close it and come back, or type the code.',
  stopped: '',
};

/** What became of a code that leads nowhere by itself. */
type Unknown =
  | { readonly is: 'damaged'; readonly text: string }
  | { readonly is: 'looking'; readonly code: string }
  /** `isSure`: the server does not know it either. */
  | { readonly is: 'unknown'; readonly code: string; readonly isSure: boolean }
  | { readonly is: 'elsewhere'; readonly sentence: string }
  /** A part, while the clock of who scans it runs on a job. */
  | { readonly is: 'part'; readonly part: Part };

/** A code on a machine, a place, a part, a bin or a job card opens what it is on. */
export function ScanScreen({
  given,
  isToRaise = false,
}: {
  readonly given: string | undefined;
  /** What is found is what something is raised on. */
  readonly isToRaise?: boolean;
}): ReactElement {
  const router = useRouter();
  const back = useBack('/shift');
  const [typed, setTyped] = useState('');
  const [unknown, setUnknown] = useState<Unknown | null>(null);
  // Whoever opens the address of a label may not have signed in yet.
  const me = usePhone((state) => state.person?.id);
  const job = useRow('workOrders', useRow('clocks', me)?.workOrderId);
  const isOnJob = job !== undefined;
  const open = useCallback(
    (text: string) => {
      const code = readCode(text);
      if (code === null) return setUnknown({ is: 'damaged', text: text.slice(0, 40) });
      const found = isToRaise ? null : foundOnPhone(code);
      if (found?.is === 'part' && isOnJob) return setUnknown({ is: 'part', part: found.part });
      const path = (isToRaise ? pathToRaise(code) : null) ?? pathOf(code);
      if (path !== null) return router.replace(path);
      setUnknown({ is: 'looking', code });
      void lookUpCode(code).then(setUnknown);
    },
    [router, isToRaise, isOnJob],
  );
  useEffect(() => {
    if (given !== undefined) open(given);
  }, [given, open]);
  const { video, trouble } = useCamera(open, unknown === null && given === undefined);
  const again = (): void => {
    setUnknown(null);
    setTyped('');
    if (given !== undefined) router.replace('/scan');
  };
  return (
    <View style={sheet.screen}>
      <TopBar title="Scan" {...back} />
      <ScrollView role="main" contentContainerStyle={sheet.content} keyboardShouldPersistTaps="handled">
        {unknown === null ? (
          <>
            {trouble === null ? (
              <div style={{ position: 'relative', background: '#000', width: '100%', height: 'min(46vh, 420px)' }}>
                <video
                  ref={video}
                  muted
                  playsInline
                  aria-label="What the camera sees"
                  style={{ width: '100%', height: '100%', objectFit: 'cover' }}
                />
              </div>
            ) : (
              <AppText live>{troubleWords[trouble]}</AppText>
            )}
            {trouble === null ? (
              <AppText soft>Hold the code of a machine, a place, a part, a bin or a job card into the picture.</AppText>
            ) : null}
            <Field label="Or type the code" value={typed} onChange={setTyped} onEnter={() => open(typed)} />
            <Button
              rank="primary"
              word="Open"
              cannot={typed.trim() === '' && 'Scan or type a code first.'}
              onPress={() => open(typed)}
            />
            <TryCodes />
          </>
        ) : unknown.is === 'part' ? (
          <ScannedPart part={unknown.part} job={job} onAgain={again} />
        ) : (
          <Outcome unknown={unknown} onAgain={again} />
        )}
      </ScrollView>
    </View>
  );
}

function Outcome({
  unknown,
  onAgain,
}: {
  readonly unknown: Exclude<Unknown, { is: 'part' }>;
  readonly onAgain: () => void;
}): ReactElement {
  switch (unknown.is) {
    case 'looking':
      return <AppText live>Looking for {unknown.code} …</AppText>;
    case 'damaged':
      return (
        <>
          <AppText live>
            {sentenceFor('code_unreadable')} What was read: “{unknown.text}”.
          </AppText>
          <Button rank="primary" word="Scan again" onPress={onAgain} />
        </>
      );
    case 'elsewhere':
      return (
        <>
          <AppText live>{unknown.sentence}</AppText>
          <Button rank="primary" word="Scan another" onPress={onAgain} />
        </>
      );
    case 'unknown':
      return <BindCode code={unknown.code} isSure={unknown.isSure} onAgain={onAgain} />;
  }
}

/** A part that was scanned while working: the likeliest is that the job takes it, or gives it back. */
function ScannedPart({
  part,
  job,
  onAgain,
}: {
  readonly part: Part;
  readonly job: WorkOrder | undefined;
  readonly onAgain: () => void;
}): ReactElement {
  const router = useRouter();
  return (
    <>
      <AppText as="title" level={2}>
        {part.name}
      </AppText>
      <AppText soft>{part.number}</AppText>
      {job === undefined ? null : (
        <>
          <AppText>
            Your clock runs on {job.number}, {job.title}.
          </AppText>
          <Button
            rank="primary"
            word={`For ${job.number}: take it or put it back`}
            onPress={() => router.replace(`/shift/${job.id}?part=${part.id}`)}
          />
        </>
      )}
      <Way title="See it in Stores" icon={mdiPackageVariantClosed} href={`/stores/part/${part.id}`} />
      <Button rank="quiet" word="Scan another" onPress={onAgain} />
    </>
  );
}

/** Where something is raised on what a code is on; null for what is neither machine nor place. */
function pathToRaise(code: string): `/${string}` | null {
  const found = foundOnPhone(code);
  if (found?.is === 'asset') return `/raise?asset=${found.asset.id}`;
  return found?.is === 'place' ? `/raise?place=${found.place.id}` : null;
}

/** Where a code leads on this phone; null for nowhere. */
function pathOf(code: string): `/${string}` | null {
  const found = foundOnPhone(code);
  switch (found?.is) {
    case 'asset':
      return `/plant/${found.asset.id}`;
    case 'work':
      return `/shift/${found.work.id}`;
    case 'place':
      return `/plant?place=${found.place.id}`;
    case 'part':
      return `/stores/part/${found.part.id}`;
    case 'bin':
      return `/stores?find=${encodeURIComponent(found.bin.label)}`;
    default:
      return null;
  }
}

/** Asks the server of a code that this phone does not know. */
async function lookUpCode(code: string): Promise<Unknown> {
  try {
    await httpLink.code(code);
    // Bound a moment ago, and not here yet.
    return { is: 'elsewhere', sentence: `${code} was bound to a machine just now. Scan it again in a moment.` };
  } catch (error) {
    if (error instanceof OilcanError && error.code === 'other_site') {
      return { is: 'elsewhere', sentence: sentenceFor(error.code, error.values) };
    }
    return { is: 'unknown', code, isSure: error instanceof OilcanError && error.code === 'not_found' };
  }
}

/** Where the demo runs: a page of codes for whoever has no label at hand. */
function TryCodes(): ReactElement | null {
  const router = useRouter();
  const isDemo = useIsDemo();
  return isDemo ? <Button word="No label at hand? Codes to try" onPress={() => router.navigate('/scan/try')} /> : null;
}

const sheet = StyleSheet.create({
  screen: { flex: 1, minHeight: 0 },
  content: { padding: 16, gap: 12, width: '100%', maxWidth: 640, alignSelf: 'center' },
});
