import type { ReactNode } from 'react';

const INK = { fill: 'none', stroke: 'currentColor', strokeWidth: 1.5 } as const;

function Head({ width = 120 }: { width?: number }) {
  return <rect x={10} y={60} width={width} height={22} fill="var(--plug)" stroke="var(--line)" />;
}

const PLUGS = [28, 56, 84, 112];

/** Four plugs in a head, and where the leads from them go. */
function Leads({ to }: { to: 'coil-each' | 'pack' | 'cap' | 'single-lead' }) {
  if (to === 'single-lead')
    return (
      <>
        <Head width={60} />
        <path d="M40 60V44Q40 30 60 30H100" {...INK} />
        <circle cx={118} cy={36} r={17} {...INK} />
        <path d="M106 36h24M118 24v24" {...INK} />
      </>
    );
  return (
    <>
      <Head />
      {PLUGS.map((x, i) =>
        to === 'coil-each' ? (
          <path key={x} d={`M${x - 4} 60V30h-4V18h16v12h-4V60Z`} fill="currentColor" />
        ) : (
          <path key={x} d={`M${x} 60V${46 - i * 7}H146`} {...INK} />
        ),
      )}
      {to === 'coil-each' && <path d="M20 12H130" {...INK} strokeWidth={1} />}
      {to === 'pack' && <rect x={146} y={14} width={26} height={40} fill="currentColor" />}
      {to === 'cap' && <path d="M146 56V34a14 18 0 0 1 28 0v22Z" fill="currentColor" />}
    </>
  );
}

/** Cylinders seen from above, rows of circles. */
const LAYOUT_ROWS: Readonly<Record<string, readonly (readonly [count: number, shift: number])[]>> = {
  one: [[1, 0]],
  twin: [[2, 0]],
  three: [[3, 0]],
  four: [[4, 0]],
  five: [[5, 0]],
  six: [[6, 0]],
  'vee-four': [
    [2, 0],
    [2, 8],
  ],
  'vee-six': [
    [3, 0],
    [3, 8],
  ],
  'vee-eight': [
    [4, 0],
    [4, 8],
  ],
  'flat-four': [
    [2, 0],
    [2, 20],
  ],
};

function Cylinders({ layout }: { layout: string }) {
  const rows = LAYOUT_ROWS[layout] ?? [];
  const apart = layout === 'flat-four' ? 44 : 26;
  return (
    <>
      {rows.map(([count, shift], row) =>
        Array.from({ length: count }, (_, i) => (
          <circle
            key={`${row} ${i}`}
            cx={24 + shift + i * 25}
            cy={(rows.length === 1 ? 46 : 24) + row * apart}
            r={10}
            {...INK}
          />
        )),
      )}
    </>
  );
}

function Pins({ count }: { count: number }) {
  return (
    <>
      <rect x={20} y={26} width={24 + count * 22} height={40} rx={5} {...INK} />
      <path d={`M${24 + count * 11} 26v-8h16v8`} {...INK} />
      {Array.from({ length: count }, (_, i) => (
        <rect key={i} x={34 + i * 22} y={38} width={9} height={16} fill="currentColor" />
      ))}
    </>
  );
}

function PlugsEach({ count }: { count: number }) {
  return (
    <>
      <circle cx={70} cy={46} r={36} {...INK} />
      {(count === 1 ? [70] : [54, 86]).map((x) => (
        <circle key={x} cx={x} cy={46} r={8} fill="currentColor" />
      ))}
    </>
  );
}

function Boot({ stepped }: { stepped: boolean }) {
  return (
    <>
      <rect x={50} y={6} width={40} height={18} fill="currentColor" />
      <path d={stepped ? 'M60 24v22h-6v36h32V46h-6V24' : 'M58 24v58h24V24'} {...INK} />
    </>
  );
}

function drawingOf(question: string, answer: string): ReactNode {
  switch (question) {
    case 'leads':
      return <Leads to={answer as 'pack'} />;
    case 'layout':
      return <Cylinders layout={answer} />;
    case 'pins':
      return <Pins count={Number(answer)} />;
    case 'plugs':
      return <PlugsEach count={Number(answer)} />;
    case 'boot':
      return <Boot stepped={answer === 'stepped'} />;
    default:
      return null;
  }
}

/** The shape an answer stands for; the words beside it say the same, so it is decoration to a screen reader. */
export function ShapeAnswer({ question, answer }: { question: string; answer: string }) {
  const drawing = drawingOf(question, answer);
  if (!drawing) return null;
  return (
    <svg viewBox="0 0 184 90" className="h-16 w-full max-w-44" preserveAspectRatio="xMinYMid" aria-hidden="true">
      {drawing}
    </svg>
  );
}
