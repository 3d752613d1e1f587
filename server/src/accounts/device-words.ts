const browsers: readonly (readonly [RegExp, string])[] = [
  [/\bEdgA?\//, 'Edge'],
  [/\bOPR\//, 'Opera'],
  [/\bSamsungBrowser\//, 'Samsung Internet'],
  [/\bFirefox\/|\bFxiOS\//, 'Firefox'],
  [/\bChrom(e|ium)\/|\bCriOS\//, 'Chrome'],
  [/\bSafari\//, 'Safari'],
];
const systems: readonly (readonly [RegExp, string])[] = [
  [/\biPhone\b/, 'iPhone'],
  [/\biPad\b/, 'iPad'],
  [/\bAndroid\b/, 'Android'],
  [/\bWindows\b/, 'Windows'],
  [/\bMac OS X\b|\bMacintosh\b/, 'Mac'],
  [/\bCrOS\b/, 'ChromeOS'],
  [/\bLinux\b/, 'Linux'],
];

/** What a browser says of itself, as a person would: `Chrome on Android`. Only for telling one's own devices apart. */
export function deviceWords(userAgent: string | undefined): string {
  const nameIn = (names: typeof browsers): string | undefined =>
    names.find(([pattern]) => pattern.test(userAgent ?? ''))?.[1];
  const [browser, system] = [nameIn(browsers), nameIn(systems)];
  if (browser === undefined) return system ?? 'Unknown device';
  return system === undefined ? browser : `${browser} on ${system}`;
}
