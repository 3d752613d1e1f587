import type { PlaceId } from '@oilcan/core/kernel';
import { labelText, placeCode, type Asset } from '@oilcan/core/plant/plant';
import type { Label } from '@oilcan/paper/label-formats';

/** What sticks on a machine: its tag as a code that leads to this server, and in words. */
export function assetLabel({ tag, name }: Asset): Label {
  return { code: labelText(window.location.origin, tag), headline: tag, detail: name };
}

/** What sticks on the door of a place; its code stands beside it for whoever types. */
export function placeLabel(id: PlaceId, name: string): Label {
  const code = placeCode(id);
  return { code: labelText(window.location.origin, code), headline: name, detail: code };
}
