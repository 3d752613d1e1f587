import { useState, type ReactElement } from 'react';
import type { BinId } from '@oilcan/core/kernel';
import { readCode } from '@oilcan/core/plant/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { Part } from '@oilcan/core/stores/stock';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { foundOnPhone } from '../../../data/scanner/coded-rows';
import { useCamera } from '../../../data/scanner/use-camera';
import { peekKitLines } from '../../../data/queries/stock';
import { peekAll } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { FoundRow, type Chosen } from './part-lines';

interface Props {
  readonly work: WorkOrder;
  readonly onFound: (chosen: Chosen) => void;
  readonly onClose: () => void;
}

/** A part by the code on itself or on its bin, for the job that is open: to take, to plan or to put back. */
export function ScanPartSheet({ work, onFound, onClose }: Props): ReactElement {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [inBin, setInBin] = useState<readonly Chosen[]>([]);
  const read = (text: string): void => {
    setInBin([]);
    setProblem(null);
    const code = readCode(text);
    if (code === null) return setProblem(sentenceFor('code_unreadable'));
    const found = foundOnPhone(code);
    if (found?.is === 'part') return onFound(chosenOf(work, found.part));
    if (found?.is !== 'bin') return setProblem(`${code} is on no part and no bin that this phone knows.`);
    const lies = new Set(peekAll('stock').flatMap((level) => (level.binId === found.bin.id ? [level.partId] : [])));
    const parts = peekAll('parts').filter(({ id }) => lies.has(id));
    const chosen = parts.map((part) => chosenOf(work, part, found.bin.id));
    const [only] = chosen;
    if (chosen.length === 1 && only !== undefined) return onFound(only);
    if (only === undefined)
      return setProblem(`Nothing lies in bin ${found.bin.label} by the books. Find the part by name.`);
    setInBin(chosen);
  };
  const { video, trouble } = useCamera(read, inBin.length === 0);
  return (
    <BottomSheet
      title="Scan a part"
      aside={work.number}
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word="Take this one"
          cannot={typed.trim() === '' && 'Scan or type a code first.'}
          onPress={() => read(typed)}
        />
      }
    >
      {inBin.length > 0 ? null : trouble === null ? (
        <video
          ref={video}
          muted
          playsInline
          aria-label="What the camera sees"
          style={{ width: '100%', height: 220, objectFit: 'cover', background: '#000' }}
        />
      ) : (
        <AppText soft>No camera can be used here. Type the code that is on the part or its bin.</AppText>
      )}
      {problem === null ? null : <AppText live>{problem}</AppText>}
      {inBin.length === 0 ? null : <AppText as="label">Which of what lies in this bin?</AppText>}
      {inBin.map((chosen) => (
        <FoundRow key={chosen.part.id} part={chosen.part} siteId={work.siteId} onChoose={() => onFound(chosen)} />
      ))}
      <Field label="Or type the code" value={typed} onChange={setTyped} onEnter={() => read(typed)} />
    </BottomSheet>
  );
}

/** What is likely to be taken of it: as much as the job still needs, from the bin that was scanned or planned. */
function chosenOf(work: WorkOrder, part: Part, from?: BinId): Chosen {
  const line = peekKitLines(work).find(({ planned }) => planned.partId === part.id);
  const binId = from ?? line?.planned.binId;
  const quantity = line?.left ?? 0;
  return binId === undefined ? { part } : { part, first: { quantity: quantity > 0 ? quantity : 1_000, binId } };
}
