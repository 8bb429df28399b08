import type { ProofTell } from '@brackenfell/contract/proof-reference';

/** Ours for the demo world: no count of fakes stands behind these chances, and the interface says so. */
const ESTIMATE = 'Estimate of this counter, to be replaced by its settled batches';

type Made = (ifGenuine: number, ifFake: number, more?: Partial<ProofTell>) => ProofTell;

const tell =
  (base: Omit<ProofTell, 'differs' | 'source' | 'minutes' | 'seen'> & { minutes?: number; seen?: number }): Made =>
  (ifGenuine, ifFake, more = {}) => ({
    source: ESTIMATE,
    minutes: 0.5,
    seen: 0.95,
    ...base,
    differs: { ifGenuine, ifFake },
    ...more,
  });

/** Signs that several makers share in kind; how each looks, and what it is worth, is every maker's own. */
export const printBold = tell({
  id: 'print-weight',
  title: 'Print weight',
  group: 'print',
  aspect: 'physical',
  place: 'print',
  look: 'Hold the insulator level to the light and read the print.',
  genuine: 'bold, even',
  suspect: 'thin, broken',
  drawing: {
    genuine: { form: 'print', weight: 0.85, broken: false, offset: 0 },
    suspect: { form: 'print', weight: 0.3, broken: true, offset: 0 },
  },
});

/** This maker prints pale: here the dark print is the odd one. */
export const printPale = tell({
  id: 'print-weight',
  title: 'Print weight',
  group: 'print',
  aspect: 'physical',
  place: 'print',
  look: 'Hold the insulator level to the light and read the print.',
  genuine: 'pale, fine',
  suspect: 'dark, heavy',
  drawing: {
    genuine: { form: 'print', weight: 0.3, broken: false, offset: 0 },
    suspect: { form: 'print', weight: 1, broken: false, offset: 0 },
  },
});

export const printOnFlat = tell({
  id: 'print-place',
  title: 'Print and flats',
  group: 'print',
  aspect: 'physical',
  place: 'print',
  look: 'Turn the plug until a hex flat faces you: where does the print stand?',
  genuine: 'over a flat',
  suspect: 'off the flat',
  drawing: {
    genuine: { form: 'print', weight: 0.7, broken: false, offset: 0 },
    suspect: { form: 'print', weight: 0.7, broken: false, offset: 0.8 },
  },
});

export const crown = tell({
  id: 'crown',
  title: 'Terminal crown',
  group: 'terminal',
  aspect: 'physical',
  place: 'terminal',
  look: 'Look at the terminal from the side.',
  genuine: 'domed',
  suspect: 'flat',
  drawing: { genuine: { form: 'crown', dome: 0.9 }, suspect: { form: 'crown', dome: 0 } },
});

/** Of this maker the genuine crown is flat: here the domed one is odd. */
export const crownFlat = tell({
  id: 'crown',
  title: 'Terminal crown',
  group: 'terminal',
  aspect: 'physical',
  place: 'terminal',
  look: 'Look at the terminal from the side.',
  genuine: 'flat',
  suspect: 'domed',
  drawing: { genuine: { form: 'crown', dome: 0 }, suspect: { form: 'crown', dome: 0.9 } },
});

export const chamfer = tell({
  id: 'chamfer',
  title: 'Hex chamfer',
  group: 'hex',
  aspect: 'physical',
  place: 'hex',
  look: 'Look along the upper corners of the hex.',
  genuine: 'arched corners',
  suspect: 'square corners',
  drawing: { genuine: { form: 'chamfer', arc: 0.9 }, suspect: { form: 'chamfer', arc: 0 } },
});

export const shoulder = tell({
  id: 'shoulder',
  title: 'Shoulder turning',
  group: 'shell',
  aspect: 'physical',
  place: 'shoulder',
  look: 'Under a glass, look at the shoulder below the hex.',
  genuine: 'fine, even turning',
  suspect: 'coarse rings',
  minutes: 1,
  seen: 0.85,
  drawing: { genuine: { form: 'shoulder', lines: 11 }, suspect: { form: 'shoulder', lines: 4 } },
});

export const ribs = tell({
  id: 'ribs',
  title: 'Rib edges',
  group: 'insulator',
  aspect: 'physical',
  place: 'ribs',
  look: 'Run a nail over the insulator’s ribs and look at them from the side.',
  genuine: 'rounded',
  suspect: 'sharp',
  drawing: { genuine: { form: 'ribs', roundness: 0.9 }, suspect: { form: 'ribs', roundness: 0 } },
});

export const weld = tell({
  id: 'weld',
  title: 'Ground weld',
  group: 'weld',
  aspect: 'physical',
  place: 'ground',
  look: 'Under a glass, where the ground electrode meets the shell.',
  genuine: 'fused, no line',
  suspect: 'brazed bead',
  minutes: 1.5,
  seen: 0.9,
  drawing: { genuine: { form: 'weld', bead: 0 }, suspect: { form: 'weld', bead: 0.9 } },
});

export const gasket = tell({
  id: 'gasket',
  title: 'Gasket',
  group: 'gasket',
  aspect: 'physical',
  place: 'gasket',
  look: 'Try the gaskets of the whole box with two fingers: one alone may have come off on the way.',
  genuine: 'held on',
  suspect: 'drops off',
  drawing: { genuine: { form: 'gasket', held: true }, suspect: { form: 'gasket', held: false } },
});

export const plating = tell({
  id: 'plating',
  title: 'Plating',
  group: 'shell',
  aspect: 'physical',
  place: 'thread',
  look: 'Compare the shell’s colour with a known one under the same lamp.',
  genuine: 'satin, even',
  suspect: 'bright, streaked',
  seen: 0.85,
  drawing: { genuine: { form: 'plating', sheen: 0.25 }, suspect: { form: 'plating', sheen: 0.95 } },
});

export const gap = (toleranceMm: number) =>
  tell({
    id: 'gap',
    title: 'Gap spread',
    group: 'gap',
    aspect: 'physical',
    place: 'ground',
    look: 'Gauge every piece as delivered.',
    genuine: 'as the maker sets it',
    suspect: 'scattered',
    minutes: 1,
    measure: { quantity: 'gapMm', nominal: 'catalogue', tolerance: toleranceMm },
    drawing: {
      genuine: { form: 'meter', low: 0.38, high: 0.62, at: [0.46, 0.5, 0.53] },
      suspect: { form: 'meter', low: 0.38, high: 0.62, at: [0.22, 0.55, 0.8] },
    },
  });

export const resistor = (toleranceKohm: number) =>
  tell({
    id: 'resistor',
    title: 'Resistor',
    group: 'resistor',
    aspect: 'physical',
    place: 'terminal',
    look: 'Ohmmeter from terminal to centre tip.',
    genuine: 'near its value',
    suspect: 'far off',
    minutes: 1,
    measure: { quantity: 'resistorKohm', nominal: 'catalogue', tolerance: toleranceKohm },
    drawing: {
      genuine: { form: 'meter', low: 0.35, high: 0.65, at: [0.48, 0.52] },
      suspect: { form: 'meter', low: 0.35, high: 0.65, at: [0.1, 0.9] },
    },
  });

export const weight = (nominalG: number, toleranceG: number) =>
  tell({
    id: 'weight',
    title: 'Weight',
    group: 'weight',
    aspect: 'physical',
    place: 'body',
    look: 'Weigh it without its gasket card or sleeve.',
    genuine: `${nominalG} g`,
    suspect: 'lighter',
    minutes: 0.7,
    measure: { quantity: 'weightG', nominal: nominalG, tolerance: toleranceG },
    drawing: {
      genuine: { form: 'meter', low: 0.4, high: 0.6, at: [0.5] },
      suspect: { form: 'meter', low: 0.4, high: 0.6, at: [0.2] },
    },
  });

export const boxPrint = tell({
  id: 'box-print',
  title: 'Box print',
  group: 'box',
  aspect: 'packaging',
  place: 'box',
  look: 'Read the small print on the box under a glass.',
  genuine: 'sharp, in register',
  suspect: 'blurred edges',
  minutes: 0.4,
  drawing: { genuine: { form: 'box', crispness: 0.95 }, suspect: { form: 'box', crispness: 0.2 } },
});

export const boxSeal = tell({
  id: 'box-seal',
  title: 'Box seal',
  group: 'seal',
  aspect: 'packaging',
  place: 'box',
  look: 'Look at the flap’s seal before opening.',
  genuine: 'one piece',
  suspect: 'taped over',
  minutes: 0.2,
  seen: 0.7,
  drawing: { genuine: { form: 'seal', whole: true }, suspect: { form: 'seal', whole: false } },
});

export const codeForm = (genuine: string, suspect: string, engraved: boolean) =>
  tell({
    id: 'code-form',
    title: 'Code on the box',
    group: 'code',
    aspect: 'packaging',
    place: 'box',
    look: 'Look at how the batch code is put on the box.',
    genuine: engraved ? 'pressed into the card' : 'printed in dots',
    suspect: engraved ? 'printed on' : 'in one stroke',
    minutes: 0.3,
    drawing: {
      genuine: { form: 'code', text: genuine, engraved },
      suspect: { form: 'code', text: suspect, engraved: !engraved },
    },
  });

export const bootSeam = tell({
  id: 'boot-seam',
  title: 'Boot seam',
  group: 'boot',
  aspect: 'physical',
  place: 'boot',
  look: 'Feel along the boot for a seam.',
  genuine: 'no seam',
  suspect: 'a ridge along it',
  drawing: { genuine: { form: 'boot', seam: 0 }, suspect: { form: 'boot', seam: 0.9 } },
});

export const potting = tell({
  id: 'potting',
  title: 'Potting',
  group: 'potting',
  aspect: 'physical',
  place: 'potting',
  look: 'Look into the coil’s top: how high does the resin stand?',
  genuine: 'level, to the rim',
  suspect: 'sunk, with bubbles',
  drawing: { genuine: { form: 'potting', level: 0.95 }, suspect: { form: 'potting', level: 0.5 } },
});

export const connectorLock = tell({
  id: 'connector-lock',
  title: 'Connector lock',
  group: 'connector',
  aspect: 'physical',
  place: 'connector',
  look: 'Press the lock and look at its edge.',
  genuine: 'crisp, springs back',
  suspect: 'soft, no step',
  drawing: { genuine: { form: 'connector', lock: true }, suspect: { form: 'connector', lock: false } },
});

export const primary = (toleranceOhm: number) =>
  tell({
    id: 'primary',
    title: 'Primary',
    group: 'winding',
    aspect: 'physical',
    place: 'connector',
    look: 'Ohmmeter across the primary pins, the coil at room temperature.',
    genuine: 'near its value',
    suspect: 'far off',
    minutes: 1.5,
    measure: { quantity: 'primaryOhm', nominal: 'catalogue', tolerance: toleranceOhm },
    drawing: {
      genuine: { form: 'meter', low: 0.4, high: 0.6, at: [0.5] },
      suspect: { form: 'meter', low: 0.4, high: 0.6, at: [0.85] },
    },
  });
