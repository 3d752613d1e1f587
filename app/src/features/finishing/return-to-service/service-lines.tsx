import type { ReactElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { mdiHandshakeOutline } from '@mdi/js';
import { signedBy } from '@oilcan/core/kernel';
import { standingOfSeal } from '@oilcan/core/registry';
import { isOpen, currentOf, type Entry, type WorkOrder } from '@oilcan/core/orders/work';
import { lazyComponent } from '../../../ui/loading/lazy-component';
import { saveFile } from '../../../data/browser/save-file';
import { Drawn } from '../../../ui/drawn/drawn';
import { Button } from '../../../ui/press/press';
import { signaturePng, signatureSvg } from '../../../ui/drawn/signature-file';
import { usePalette } from '../../../ui/theme/use-palette';
import { Way } from '../../../ui/press/way';
import { AppText } from '../../../ui/theme/app-text';
import { sinceSigned } from './words';

const GiveMachineSheet = lazyComponent(() => import('./give-sheet').then((module) => module.GiveMachineSheet));
const ReturnSheet = lazyComponent(() => import('./return-sheet').then((module) => module.ReturnSheet));

const GIVE_SHEET = 'given to maintenance';
/** The name under which the sheet of the return to service is opened. */
export const RETURN_SHEET = 'return to service';

/** Loads what opens from these lines, so that it opens without signal too. */
export async function loadReturnSheets(): Promise<void> {
  await Promise.all([GiveMachineSheet.load(), ReturnSheet.load()]);
}

interface Props {
  readonly work: WorkOrder;
  readonly entries: readonly Entry[];
  /** Which sheet is open, by its name; held outside because what is owed opens one too. */
  readonly open: string | null;
  readonly onOpen: (name: string | null) => void;
}

/** Who gave the machine to maintenance, and who took it back, with their signature and what became of the record since. */
export function ServiceLines({ work, entries, open, onOpen }: Props): ReactElement | null {
  const given = currentOf(entries, 'given').at(-1);
  const returned = currentOf(entries, 'returned').at(-1);
  const close = (): void => onOpen(null);
  if (given === undefined && returned === undefined && !isOpen(work.state)) return null;
  return (
    <View style={sheet.lines}>
      {given === undefined ? null : (
        <AppText soft>
          Machine handed over to maintenance by {given.content.from}: {given.content.condition}
          {given.content.where === '' ? '' : `, ${given.content.where}`}.
        </AppText>
      )}
      {returned === undefined ? null : <Returned entry={returned} entries={entries} />}
      {isOpen(work.state) ? (
        <View>
          {given === undefined && returned === undefined ? (
            <Way title="Machine handed over to maintenance" onPress={() => onOpen(GIVE_SHEET)} />
          ) : null}
          <Way
            icon={mdiHandshakeOutline}
            title={returned === undefined ? 'Back in service' : 'Back in service again'}
            onPress={() => onOpen(RETURN_SHEET)}
          />
        </View>
      ) : null}
      {open === GIVE_SHEET ? <GiveMachineSheet work={work} onClose={close} /> : null}
      {open === RETURN_SHEET ? <ReturnSheet work={work} onClose={close} /> : null}
    </View>
  );
}

interface ReturnedProps {
  readonly entry: ReturnType<typeof currentOf<'returned'>>[number];
  readonly entries: readonly Entry[];
}

function Returned({ entry, entries }: ReturnedProps): ReactElement {
  const { content } = entry;
  const palette = usePalette();
  const since = sinceSigned(entry, entries);
  const { isBroken } = standingOfSeal(content.seal, entries);
  const saveSignature = async (kind: 'png' | 'svg'): Promise<void> => {
    const { name, path } = content.signature;
    const file = kind === 'png' ? await signaturePng(path) : signatureSvg(path);
    if (file !== null) saveFile(`${name}.${kind}`, kind === 'png' ? 'image/png' : 'image/svg+xml', file);
  };
  return (
    <View>
      <AppText>
        Back in service, taken by {signedBy(content.signature)}: {content.condition}.
      </AppText>
      {content.reservations === '' ? null : <AppText>Limits on its use: {content.reservations}</AppText>}
      {content.signature.path === '' ? null : (
        <View style={sheet.signature}>
          <Drawn path={content.signature.path} name={content.signature.name} />
          <Button word="Signature as PNG" onPress={() => void saveSignature('png')} />
          <Button word="Signature as SVG" onPress={() => void saveSignature('svg')} />
        </View>
      )}
      {isBroken ? (
        <AppText color={palette.faulty}>{since}</AppText>
      ) : since === '' ? (
        <AppText as="small" soft>
          The record is as it was signed.
        </AppText>
      ) : (
        <AppText as="small">{since}</AppText>
      )}
    </View>
  );
}

const sheet = StyleSheet.create({
  lines: { paddingTop: 12, gap: 6 },
  signature: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'center', gap: 8 },
});
