const CHARACTERS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const MODULUS = 36;

/** What was typed or scanned of a tray's label; the server reads codes in the same way. */
export type TrayCode = { number: number; fits: boolean };

/** The check character of letters A to Z and digits (ISO/IEC 7064, MOD 37,36). */
export function checkOf(text: string): string {
  let product = MODULUS;
  for (const each of text) {
    const sum = (product + CHARACTERS.indexOf(each)) % MODULUS;
    product = ((sum === 0 ? MODULUS : sum) * 2) % (MODULUS + 1);
  }
  return CHARACTERS[(1 - product + 2 * MODULUS) % MODULUS]!;
}

/** The tray that a label names: by its code with its check character, or by the address in its square. */
export function trayOf(scanned: string): TrayCode | undefined {
  const address = /^https?:\/\/[^/]+\/trays\/(\d{1,9})$/.exec(scanned.trim());
  if (address) return { number: Number(address[1]), fits: true };
  const text = scanned.toUpperCase().replace(/\s/g, '');
  const code = /^(T(\d{1,9}))-([0-9A-Z])$/.exec(text) ?? /^(T(\d{1,9}))([A-Z])$/.exec(text);
  return code ? { number: Number(code[2]), fits: checkOf(code[1]!) === code[3] } : undefined;
}
