const IN_USE = 'oilcan.in-use';
const SIGNED_OUT = 'oilcan.signed-out';

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

/** Who signed out on this phone without the server having heard of it, by name; null for nobody. */
export function signedOutUnheard(): string | null {
  try {
    return localStorage.getItem(SIGNED_OUT);
  } catch {
    return null;
  }
}

export function noteSignedOutUnheard(name: string | null): void {
  try {
    if (name === null) localStorage.removeItem(SIGNED_OUT);
    else localStorage.setItem(SIGNED_OUT, name);
  } catch {
    // A browser that keeps nothing tells the server at once, or not at all.
  }
}
