import { useCallback, useState, type ReactElement } from 'react';
import { readCode, type Asset } from '@oilcan/core/plant/plant';
import { sentenceFor } from '@oilcan/core/registry';
import type { RoundStanding, StopStanding } from '@oilcan/core/steps/rounds';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { useCamera } from '../../../data/scanner/use-camera';
import { peekRow } from '../../../data/store/store';
import { BottomSheet } from '../../../ui/layout/bottom-sheet';
import { Field } from '../../../ui/fields/field';
import { useNotice } from '../../../ui/state/use-notice';
import { Button } from '../../../ui/press/press';
import { AppText } from '../../../ui/theme/app-text';
import { codedAsset } from '../../../data/scanner/coded-rows';
import { OffRound } from './off-round';
import type { InSight } from './stop-in-sight';

interface Props {
  readonly work: WorkOrder;
  readonly round: RoundStanding;
  readonly current: StopStanding | null;
  readonly onGo: (inSight: InSight) => void;
  readonly onClose: () => void;
}

/** Goes to the stop whose label is scanned, or whose code is typed. */
export function ScanStopSheet({ work, round, current, onGo, onClose }: Props): ReactElement {
  const say = useNotice((state) => state.say);
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [stranger, setStranger] = useState<Asset | null>(null);
  const open = useCallback(
    (text: string): void => {
      setStranger(null);
      const code = readCode(text);
      if (code === null) return setProblem(sentenceFor('code_unreadable'));
      const asset = codedAsset(code);
      if (asset === null) return setProblem(`${code} is on no machine that this phone knows.`);
      const found = stopOf(round, asset);
      if (found === null) {
        setStranger(asset);
        return setProblem(`${asset.name} is on no stop of this round.`);
      }
      if (current !== null && found.stop.id !== current.stop.id) {
        say(`This is stop ${found.number}, ${peekRow('assets', found.stop.assetId)?.name ?? ''}.`);
      }
      onGo(found.stop.id);
      onClose();
    },
    [round, current, onGo, onClose, say],
  );
  const { video, trouble } = useCamera(open);
  return (
    <BottomSheet
      title="Scan a stop"
      onClose={onClose}
      foot={
        <Button
          rank="primary"
          word="Go there"
          cannot={typed.trim() === '' && 'Scan or type a code first.'}
          onPress={() => open(typed)}
        />
      }
    >
      {trouble === null ? (
        <video
          ref={video}
          muted
          playsInline
          aria-label="What the camera sees"
          style={{ width: '100%', height: 220, objectFit: 'cover', background: '#000' }}
        />
      ) : (
        <AppText soft>No camera can be used here. Type the code that is on the label.</AppText>
      )}
      <Field label="Or type the code" value={typed} onChange={setTyped} onEnter={() => open(typed)} />
      {problem === null ? null : <AppText live>{problem}</AppText>}
      {stranger === null ? null : <OffRound key={stranger.id} work={work} asset={stranger} onDone={onClose} />}
    </BottomSheet>
  );
}

/** The stop of a machine, or of what it is part of. */
function stopOf({ stops }: RoundStanding, asset: Asset): StopStanding | null {
  const seen = new Set<string>();
  for (let each: Asset | undefined = asset; each !== undefined && !seen.has(each.id); each = parentOf(each)) {
    seen.add(each.id);
    const id = each.id;
    const found = stops.find(({ stop }) => stop.assetId === id);
    if (found !== undefined) return found;
  }
  return null;
}

const parentOf = ({ parentId }: Asset): Asset | undefined => peekRow('assets', parentId ?? '');
