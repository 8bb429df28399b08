import { rulingValue, type FactSheet } from '../facts/facts.ts';

/** What is gauged with what, and what is not touched, for a plug's firing end. Gap and wear: Moves. */
export function gaugeAdvice(plug: FactSheet): readonly string[] {
  const [grounds, form] = [rulingValue(plug, 'plug.groundCount'), rulingValue(plug, 'plug.groundForm')];
  if ((grounds ?? 1) > 1) return ['Several grounds: the gap stays as it was made.'];
  if (form === 'surface') return ['A surface gap: it stays as it was made.'];
  const materials = [rulingValue(plug, 'plug.centreMaterial'), rulingValue(plug, 'plug.groundMaterial')];
  const isNickel = materials.every((material) => material === 'nickel');
  return [
    isNickel
      ? 'Wire or blade; a ramp gauge may read it and never levers.'
      : 'Wire or blade only, never a ramp gauge; the centre tip is never levered on.',
    'Only the ground is moved, once and in small steps, never back past the aim; it stays centred over the tip and parallel.',
    'A dropped or knocked plug is measured again; it is lowered by the socket, not let fall.',
  ];
}
