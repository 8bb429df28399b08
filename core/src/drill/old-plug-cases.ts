import { CAUSES } from '../old-parts/causes.ts';
import { answerReading, type ReadEngine } from '../old-parts/read-plugs.ts';
import { SIGN_IDS, SIGNS } from '../old-parts/signs.ts';
import { lowerFirst } from '../words/case.ts';
import { listed } from '../words/counted.ts';
import { choicesAmong, drawn, type Draw, type DrillCase } from './drill-case.ts';

/** A straight four with a coil on each plug: the plainest engine that has every pattern but a pair. */
const CYLINDERS = [1, 2, 3, 4];
const FOUR: ReadEngine = {
  plan: { banks: [{ label: 'front to rear', cylinders: CYLINDERS }], firingOrder: [1, 3, 4, 2] },
  isWasteSpark: false,
  hasChargeCooler: false,
  gapLimitMm: undefined,
};
const SHOWN_ON = [[1], [2], [3], [4], [1, 2], [2, 3], [3, 4], CYLINDERS];
/** A sign whose cause stands out is drawn soon. */
const MOST_TRIES = 40;

/** A sign on some cylinders: the likeliest cause. Only what the reading itself does not want separated first. */
export function oldPlugCase(draw: Draw): DrillCase | undefined {
  for (let tries = 0; tries < MOST_TRIES; tries += 1) {
    const sign = drawn(SIGN_IDS, draw)!;
    const cylinders = drawn(SHOWN_ON, draw)!;
    const reading = {
      cylinders: cylinders.map((cylinder) => ({ cylinder, signs: [sign] })),
      context: [],
      results: {},
    };
    const { ranked, separateFirst } = answerReading(reading, FOUR);
    const [first, ...rest] = ranked;
    if (!first || separateFirst) continue;
    const others = [...rest.map(({ cause }) => cause), 'rich', 'no-spark', 'gasket', 'seal', 'worn'] as const;
    const among = choicesAmong(
      CAUSES[first.cause].title,
      others.filter((cause) => cause !== first.cause).map((cause) => CAUSES[cause].title),
      draw,
    );
    if (!among) continue;
    const isAll = cylinders.length === CYLINDERS.length;
    return {
      topic: 'old-plugs',
      asks: 'What is the likeliest cause?',
      facts: [
        { label: 'Seen', says: SIGNS[sign].title },
        {
          label: 'On',
          says: isAll
            ? 'all four'
            : `${cylinders.length === 1 ? 'plug' : 'plugs'} ${listed(cylinders.map(String))} only`,
        },
        { label: 'Engine', says: 'straight four, a coil on each plug' },
      ],
      rows: [],
      ...among,
      why: [
        SIGNS[sign].why,
        `${CAUSES[first.cause].title}: ${lowerFirst(CAUSES[first.cause].advice)}`,
        ...(rest[0] ? [`Next likely: ${lowerFirst(CAUSES[rest[0].cause].title)}.`] : []),
      ],
    };
  }
  return undefined;
}
