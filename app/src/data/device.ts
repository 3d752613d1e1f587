import { uuidv7 } from 'uuidv7';

const KEY = 'oilcan.device';

/** A name that this browser keeps for itself; a new one when it may keep nothing. */
export function deviceName(): string {
  try {
    const known = localStorage.getItem(KEY);
    if (known !== null) return known;
    const created = uuidv7();
    localStorage.setItem(KEY, created);
    return created;
  } catch {
    return uuidv7();
  }
}
