export type Symbology = 'EAN-13' | 'UPC-A' | 'ITF-14';

export type BarcodeReading =
  | { readonly kind: 'barcode'; readonly symbology: Symbology; readonly digits: string }
  | {
      readonly kind: 'wrong-check-digit';
      readonly symbology: Symbology;
      readonly digits: string;
      readonly expected: string;
    }
  | { readonly kind: 'not-a-barcode' };

const SYMBOLOGY_BY_LENGTH: Readonly<Record<number, Symbology>> = { 12: 'UPC-A', 13: 'EAN-13', 14: 'ITF-14' };

/** The modulo-10 check digit of the digits before it, weights 3 and 1 from the right. */
export function checkDigit(body: string): string {
  let sum = 0;
  [...body].reverse().forEach((digit, i) => (sum += Number(digit) * (i % 2 === 0 ? 3 : 1)));
  return String((10 - (sum % 10)) % 10);
}

/** Reads 12, 13 or 14 digits as UPC-A, EAN-13 or ITF-14 and verifies the check digit; a wrong one is told, not dropped. */
export function readBarcode(text: string): BarcodeReading {
  const digits = text.replace(/[\s-]/g, '');
  const symbology = /^\d+$/.test(digits) ? SYMBOLOGY_BY_LENGTH[digits.length] : undefined;
  if (!symbology) return { kind: 'not-a-barcode' };
  const expected = checkDigit(digits.slice(0, -1));
  if (!digits.endsWith(expected)) return { kind: 'wrong-check-digit', symbology, digits, expected };
  return { kind: 'barcode', symbology, digits };
}

/** The EAN-13 that an ITF-14 of the same article contains: its packaging digit dropped and the check digit made anew. */
export function innerEan13(itf14: string): string {
  const body = itf14.slice(1, 13);
  return body + checkDigit(body);
}
