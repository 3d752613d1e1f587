import type { WorkOrderId } from '@oilcan/core/kernel';
import { peekRow, perform, usePhone } from '../store/store';

const PATIENCE_MILLISECONDS = 20_000;

/** Notes where the clock was just started, if its person agreed to that and the device knows. Nothing waits for it. */
export function noteClockPlace(workOrderId: WorkOrderId): void {
  const me = usePhone.getState().person?.id;
  if (me === undefined || peekRow('placeAgreements', me)?.isAgreed !== true || !('geolocation' in navigator)) return;
  navigator.geolocation.getCurrentPosition(
    ({ coords: { latitude, longitude, accuracy } }) =>
      void perform('clock-place.note', { workOrderId, latitude, longitude, accuracyMeters: Math.round(accuracy) }),
    () => undefined,
    { timeout: PATIENCE_MILLISECONDS, maximumAge: PATIENCE_MILLISECONDS },
  );
}
