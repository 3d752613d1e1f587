import { labelText, type Asset } from '@oilcan/core';
import type { Label } from '../../paper/label-formats';

/** What sticks on a machine: its tag as a code that leads to this server, and in words. */
export function assetLabel({ tag, name }: Asset): Label {
  return { code: labelText(window.location.origin, tag), headline: tag, detail: name };
}
