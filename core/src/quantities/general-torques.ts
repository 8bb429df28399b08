/** What a cylinder head is made of: iron takes more torque than aluminium. */
export const HEAD_METALS = ['aluminium', 'cast-iron'] as const;
export type HeadMetal = (typeof HEAD_METALS)[number];

export interface TorqueRange {
  readonly lowNm: number;
  readonly highNm: number;
}

export interface GeneralTorque {
  readonly threadMm: number;
  readonly seat: 'gasket' | 'taper';
  readonly aluminium: TorqueRange;
  readonly castIron: TorqueRange;
}

const row = (threadMm: number, seat: 'gasket' | 'taper', aluminium: number[], castIron = aluminium): GeneralTorque => ({
  threadMm,
  seat,
  aluminium: { lowNm: aluminium[0]!, highNm: aluminium[1]! },
  castIron: { lowNm: castIron[0]!, highNm: castIron[1]! },
});

/** Plug torque where no maker gives one: dry thread, new gasket, N·m. Torque: General table. */
export const GENERAL_TORQUES: readonly GeneralTorque[] = [
  row(8, 'gasket', [8, 10]),
  row(10, 'gasket', [10, 12], [12, 15]),
  row(12, 'gasket', [15, 20], [20, 25]),
  row(14, 'gasket', [20, 30], [25, 35]),
  row(14, 'taper', [10, 20], [15, 25]),
  row(18, 'gasket', [30, 40], [35, 45]),
  row(18, 'taper', [15, 25], [20, 30]),
];

/** The widest torque the general table gives a thread, over both head metals and both seats unless they are known. */
export function generalTorqueSpan(
  threadMm: number,
  seat?: 'gasket' | 'taper',
  headMetal?: HeadMetal,
): TorqueRange | undefined {
  const rows = GENERAL_TORQUES.filter((r) => r.threadMm === threadMm && (seat === undefined || r.seat === seat));
  if (rows.length === 0) return undefined;
  return {
    lowNm: Math.min(...rows.map((r) => (headMetal === 'cast-iron' ? r.castIron : r.aluminium).lowNm)),
    highNm: Math.max(...rows.map((r) => (headMetal === 'aluminium' ? r.aluminium : r.castIron).highNm)),
  };
}
