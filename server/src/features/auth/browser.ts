/** What browsers call themselves, those that also carry another one's name first. */
const BROWSERS = [
  [/\bEdg/, 'Edge'],
  [/\bOPR\//, 'Opera'],
  [/\bFirefox\/|\bFxiOS\//, 'Firefox'],
  [/Chrom(e|ium)\/|\bCriOS\//, 'Chrome'],
  [/\bSafari\//, 'Safari'],
] as const;
const MACHINES = [
  [/\biPad\b/, 'iPad'],
  [/\biPhone\b/, 'iPhone'],
  [/\bAndroid\b/, 'Android'],
  [/\bWindows\b/, 'Windows'],
  [/\bMac OS X\b/, 'Mac'],
  [/\bCrOS\b/, 'Chromebook'],
  [/\bLinux\b/, 'Linux'],
] as const;

/** Which browser it is, for its teacher to know it again: "Firefox, Linux"; empty where it does not say. Nothing else is kept of it. */
export function browserOf(userAgent: string): string {
  const named = (list: typeof BROWSERS | typeof MACHINES) => list.find(([pattern]) => pattern.test(userAgent))?.[1];
  return [named(BROWSERS), named(MACHINES)].filter(Boolean).join(', ');
}
