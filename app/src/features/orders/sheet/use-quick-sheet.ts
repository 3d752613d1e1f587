import { useRouter } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import type { Owed } from '@oilcan/core/finishing/lifecycle';
import type { WorkOrder } from '@oilcan/core/orders/work';
import { peekRow } from '../../../data/store/store';
import { whereOwed } from '../../../words/where-owed';
import { useNotice } from '../../../ui/state/use-notice';
import { RETURN_SHEET } from '../../finishing/return-to-service';
import { useOpenParams } from '../../frame/page/use-open-params';
import { shareElement } from '../../recording/shares';
import { goToStop } from '../../steps/rounds';
import { stepElement } from '../../steps/steps';
import { LOCKS_ELEMENT } from '../isolation';

export interface QuickSheet {
  /** The name of the quick sheet that is open; null for none. */
  readonly open: string | null;
  /** What it is opened about, such as a point or a part. */
  readonly about: string | undefined;
  readonly onOpen: (name: string | null) => void;
  /** The entry whose fault is being coded; null for none. */
  readonly coding: string | null;
  readonly stopCoding: () => void;
  /** Leads to where something that is owed can be given. */
  readonly mend: (owed: Owed) => void;
}

/** Which quick sheet of a work order is open; a part that was scanned on the way here opens its own. */
export function useQuickSheet(
  work: WorkOrder,
  bringIntoSight: (elementId: string) => void,
  isRound: boolean,
): QuickSheet {
  const [open, setOpen] = useState<string | null>(null);
  const [about, setAbout] = useState<string | undefined>();
  const [coding, setCoding] = useState<string | null>(null);
  const { work: opened, part: scanned } = useOpenParams();
  const say = useNotice((state) => state.say);
  const router = useRouter();
  useEffect(() => {
    if (opened !== work.id || scanned === undefined) return;
    setAbout(scanned);
    setOpen('part');
    // Once: it is not opened again by coming back or by a reload.
    router.setParams({ part: undefined });
  }, [opened, scanned, work.id, router]);

  const bringStepIntoSight = (stepId: string): void => {
    const stopId = peekRow('steps', stepId)?.stopId ?? null;
    if (isRound) goToStop(work.id, stopId ?? 'end');
    // Of a round only one stop is drawn: it is there in the next frame.
    requestAnimationFrame(() => bringIntoSight(stepElement(stepId)));
  };
  const mend = (owed: Owed): void => {
    const { sheet } = whereOwed[owed.what];
    if (sheet !== null) {
      setAbout(owed.what === 'reading' ? owed.pointId : undefined);
      return setOpen(sheet);
    }
    switch (owed.what) {
      case 'step':
        return bringStepIntoSight(owed.stepId);
      case 'share':
        return bringIntoSight(shareElement(owed.shareId));
      case 'signature':
        return setOpen(RETURN_SHEET);
      case 'timeOfAnother':
        return say('They are told when you finish, and can still add it.');
      case 'codes':
        return setCoding(owed.entryId);
      case 'lock':
        return bringIntoSight(LOCKS_ELEMENT);
      case 'clockOfAnother':
        return say('Ask them to stop it, or let them finish the job.');
    }
  };
  const onOpen = useCallback((name: string | null): void => {
    setAbout(undefined);
    setOpen(name);
  }, []);
  return { open, about, onOpen, coding, stopCoding: useCallback(() => setCoding(null), []), mend };
}
