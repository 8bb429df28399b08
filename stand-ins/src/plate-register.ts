/** What a register of plates and serial numbers knows of a vehicle. Months as YYYY-MM. */
export interface PlateRecord {
  readonly make: string;
  readonly model: string;
  readonly built: string;
}

export type PlateAnswer = { readonly kind: 'found'; readonly record: PlateRecord } | { readonly kind: 'unknown' };

/** A register that can be asked. A real one is put in this place; asking may take long, and it throws when it fails. */
export interface PlateRegister {
  readonly name: string;
  ask(plate: string, signal: AbortSignal): Promise<PlateAnswer>;
}

/** Invented plates. What stands here is all the simulated register ever answers. */
const RECORDS: Readonly<Record<string, PlateRecord>> = {
  SD4471: { make: 'Skerrow', model: 'Haulm 2.0', built: '2015-03' },
  SD4472: { make: 'Skerrow', model: 'Haulm 2.0', built: '2017-06' },
  CW1120: { make: 'Ostrel', model: 'Linnet 1.2', built: '2017-09' },
  CW1163: { make: 'Ostrel', model: 'Whinchat 1.6 T', built: '2018-04' },
  FR2201: { make: 'Skerrow', model: 'Fescue rescue wagon 2.8', built: '2014-02' },
  TX0907: { make: 'Skerrow', model: 'Tormentil taxi 2.0 Gas', built: '2016-11' },
  AM5530: { make: 'Aldersyke', model: 'Merrin 2.2', built: '2010-11' },
};

const SLOW_MS = 8000;

const wait = (ms: number, signal: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      reject(new Error('The register was not waited for.'));
    });
  });

/** The simulated register: knows a few plates, is slow for those ending in 88 and fails for those ending in 99. */
export const simulatedPlates: PlateRegister = {
  name: 'look-up stand-in, simulated',
  async ask(plate, signal) {
    const plain = plate.toUpperCase().replaceAll(/[^A-Z0-9]/g, '');
    if (plain.endsWith('99')) throw new Error('The simulated register fails for plates that end in 99.');
    if (plain.endsWith('88')) await wait(SLOW_MS, signal);
    const record = RECORDS[plain];
    return record ? { kind: 'found', record } : { kind: 'unknown' };
  },
};
