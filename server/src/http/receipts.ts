import { createHmac } from 'node:crypto';

/** Fields that are never kept, not even as a hash somebody could try guesses against. */
const SECRET_FIELDS: readonly string[] = ['pin', 'password', 'newPassword', 'newPin'];

/** What a call is told from another under the same key by: keyed, and without anything secret. */
export function callHash(secret: string, method: string, address: string, body: unknown): string {
  const shown = typeof body === 'object' && body !== null ? body : {};
  const kept = Object.fromEntries(Object.entries(shown).filter(([name]) => !SECRET_FIELDS.includes(name)));
  return createHmac('sha256', secret)
    .update(`${method} ${address} ${JSON.stringify(kept)}`)
    .digest('hex');
}
