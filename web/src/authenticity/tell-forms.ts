import type { ProofTell } from '@brackenfell/contract/proof-reference';
import type { TellDrawing } from '@brackenfell/contract/tell-drawing';

interface TellForm {
  readonly label: string;
  readonly place: ProofTell['place'];
  readonly aspect: ProofTell['aspect'];
  readonly drawing: ProofTell['drawing'];
}

/** Forms a new tell can be drawn in, each with how it usually looks; the sides can be exchanged. */
export const TELL_FORMS: Readonly<Record<Exclude<TellDrawing['form'], 'meter'>, TellForm>> = {
  print: {
    label: 'print on the insulator',
    place: 'print',
    aspect: 'physical',
    drawing: {
      genuine: { form: 'print', weight: 0.85, broken: false, offset: 0 },
      suspect: { form: 'print', weight: 0.3, broken: true, offset: 0 },
    },
  },
  crown: {
    label: 'terminal crown',
    place: 'terminal',
    aspect: 'physical',
    drawing: { genuine: { form: 'crown', dome: 0.9 }, suspect: { form: 'crown', dome: 0 } },
  },
  chamfer: {
    label: 'hex chamfer',
    place: 'hex',
    aspect: 'physical',
    drawing: { genuine: { form: 'chamfer', arc: 0.9 }, suspect: { form: 'chamfer', arc: 0 } },
  },
  shoulder: {
    label: 'turning of the shoulder',
    place: 'shoulder',
    aspect: 'physical',
    drawing: { genuine: { form: 'shoulder', lines: 11 }, suspect: { form: 'shoulder', lines: 4 } },
  },
  ribs: {
    label: 'insulator ribs',
    place: 'ribs',
    aspect: 'physical',
    drawing: { genuine: { form: 'ribs', roundness: 0.9 }, suspect: { form: 'ribs', roundness: 0 } },
  },
  weld: {
    label: 'ground weld',
    place: 'ground',
    aspect: 'physical',
    drawing: { genuine: { form: 'weld', bead: 0 }, suspect: { form: 'weld', bead: 0.9 } },
  },
  gasket: {
    label: 'gasket',
    place: 'gasket',
    aspect: 'physical',
    drawing: { genuine: { form: 'gasket', held: true }, suspect: { form: 'gasket', held: false } },
  },
  plating: {
    label: 'plating',
    place: 'thread',
    aspect: 'physical',
    drawing: { genuine: { form: 'plating', sheen: 0.25 }, suspect: { form: 'plating', sheen: 0.95 } },
  },
  boot: {
    label: 'boot of a coil',
    place: 'boot',
    aspect: 'physical',
    drawing: { genuine: { form: 'boot', seam: 0 }, suspect: { form: 'boot', seam: 0.9 } },
  },
  potting: {
    label: 'potting of a coil',
    place: 'potting',
    aspect: 'physical',
    drawing: { genuine: { form: 'potting', level: 0.95 }, suspect: { form: 'potting', level: 0.5 } },
  },
  connector: {
    label: 'connector',
    place: 'connector',
    aspect: 'physical',
    drawing: { genuine: { form: 'connector', lock: true }, suspect: { form: 'connector', lock: false } },
  },
  box: {
    label: 'print of the box',
    place: 'box',
    aspect: 'packaging',
    drawing: { genuine: { form: 'box', crispness: 0.95 }, suspect: { form: 'box', crispness: 0.2 } },
  },
  seal: {
    label: 'seal of the box',
    place: 'box',
    aspect: 'packaging',
    drawing: { genuine: { form: 'seal', whole: true }, suspect: { form: 'seal', whole: false } },
  },
  code: {
    label: 'code on the box',
    place: 'box',
    aspect: 'packaging',
    drawing: {
      genuine: { form: 'code', text: 'A1 0000', engraved: true },
      suspect: { form: 'code', text: 'A10000', engraved: false },
    },
  },
};

export type FormName = keyof typeof TELL_FORMS;
export const FORM_NAMES = Object.keys(TELL_FORMS) as FormName[];

/** A tell nobody has described yet, in a form. */
export function blankTell(form: FormName): ProofTell {
  const { place, aspect, drawing } = TELL_FORMS[form];
  return {
    id: '',
    title: '',
    group: '',
    aspect,
    place,
    look: '',
    genuine: '',
    suspect: '',
    differs: { ifGenuine: 0.05, ifFake: 0.4 },
    source: 'Estimate of this counter, to be replaced by its settled batches',
    minutes: 0.5,
    seen: 0.9,
    drawing,
  };
}

/** An id for a title that no other tell of the reference has. */
export function tellId(title: string, taken: readonly string[]): string {
  const plain = title
    .toLowerCase()
    .replaceAll(/[^a-z0-9]+/g, '-')
    .replaceAll(/^[-0-9]+|-+$/g, '')
    .slice(0, 26);
  const base = plain === '' ? 'tell' : plain;
  let id = base;
  for (let i = 2; taken.includes(id) || id in {}; i += 1) id = `${base}-${i}`;
  return id;
}
