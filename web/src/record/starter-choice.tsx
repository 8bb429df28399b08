import { STARTER_SHAPES, type StarterShape } from '@brackenfell/core/record/starter-shapes';

interface StarterChoiceProps {
  readonly kind: 'heat-scale' | 'numbering';
  readonly choose: (shape: StarterShape) => void;
}

const SAYS = {
  'heat-scale': 'Codes in their order, from hot to cold. What each stands for, in bar, is on the maker’s own table.',
  numbering:
    'Fields in their order. What the codes mean, and the letters it begins with, are on the maker’s own table.',
};

/** Usual shapes that a record of which nothing is filled in yet may begin from. */
export function StarterChoice({ kind, choose }: StarterChoiceProps) {
  return (
    <section className="grid max-w-5xl gap-1 pb-4" aria-label="Begin from a usual shape">
      <h2 className="font-semibold">Begin from a usual shape</h2>
      <p className="text-soft">{SAYS[kind]}</p>
      <p className="flex flex-wrap gap-2">
        {STARTER_SHAPES[kind].map((shape) => (
          <button key={shape.id} type="button" className="button-plain" onClick={() => choose(shape)}>
            {shape.title}
          </button>
        ))}
      </p>
    </section>
  );
}
