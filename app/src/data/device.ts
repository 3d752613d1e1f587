import { uuidv7 } from 'uuidv7';

const NAME = 'oilcan.device';
const IN_USE = 'oilcan.in-use';

/** A name that this browser keeps for itself; a new one when it may keep nothing. */
export function deviceName(): string {
  try {
    const known = localStorage.getItem(NAME);
    if (known !== null) return known;
    const created = uuidv7();
    localStorage.setItem(NAME, created);
    return created;
  } catch {
    return uuidv7();
  }
}

/** Whether somebody signed in on this phone and did not sign out, as far as this browser remembers. */
export function isInUse(): boolean {
  try {
    return localStorage.getItem(IN_USE) !== null;
  } catch {
    return false;
  }
}

export function noteInUse(isUsed: boolean): void {
  try {
    if (isUsed) localStorage.setItem(IN_USE, 'yes');
    else localStorage.removeItem(IN_USE);
  } catch {
    // Without it, only a cleared storage goes unnoticed.
  }
}
