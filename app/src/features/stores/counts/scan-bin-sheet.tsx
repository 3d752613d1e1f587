import { useState, type ReactElement } from 'react';
import { readCode } from '@oilcan/core/plant/plant';
import { sentenceFor } from '@oilcan/core/registry';
import { foundOnPhone } from '../../../data/scanner/coded-rows';
import { useCamera } from '../../../data/scanner/use-camera';
import { Field } from '../../../ui/fields/field';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import type { ToCount } from './use-bins-to-count';

interface Props {
  readonly bins: readonly ToCount[];
  /** Tells the level of the bin. */
  readonly onFound: (levelId: string) => void;
  readonly onClose: () => void;
}

/** The bin that is counted next, by the code on its shelf. */
export function ScanBinSheet({ bins, onFound, onClose }: Props): ReactElement {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const read = (text: string): void => {
    const code = readCode(text);
    if (code === null) return setProblem(sentenceFor('code_unreadable'));
    const found = foundOnPhone(code);
    const isHere = ({ bin, part }: ToCount): boolean =>
      found?.is === 'bin' ? bin.id === found.bin.id : found?.is === 'part' && part.id === found.part.id;
    const here = bins.find(isHere);
    if (here === undefined) return setProblem(`${code} is on no bin of this store that holds something.`);
    onFound(here.level.id);
  };
  const { video, trouble } = useCamera(read);
  return (
    <BottomSheet
      title="Scan a bin"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word="Count this one"
          cannot={typed.trim() === '' && 'Scan or type a code first.'}
          onPress={() => read(typed)}
        />
      }
    >
      {trouble === null ? (
        <div style={{ background: '#000', width: '100%', height: 'min(36vh, 320px)' }}>
          <video
            ref={video}
            muted
            playsInline
            aria-label="What the camera sees"
            style={{ width: '100%', height: '100%', objectFit: 'cover' }}
          />
        </div>
      ) : null}
      <Field label="Or type the code" value={typed} onChange={setTyped} onEnter={() => read(typed)} />
      {problem === null ? null : <AppText live>{problem}</AppText>}
    </BottomSheet>
  );
}
