import type { PastAnswer } from '@brackenfell/core/drill/progress';
import type { DrillTopic } from '@brackenfell/core/drill/topics';

/** The answers of a topic over a fortnight, the oldest first: `2` right in time, `1` right later, `0` not. */
const COURSES: readonly (readonly [topic: DrillTopic, course: string, seconds: number])[] = [
  ['one-check', '0100212212222122', 14],
  ['verdict', '001021020212', 38],
  ['heat', '20222222222222222222', 6],
  ['number', '0220212', 11],
  ['gap-units', '0010', 21],
  ['torque', '210220222', 10],
];

const FORTNIGHT_H = 14 * 24;
const LATE = 1.8;

/** What the new starter has practised. */
export const demoPractice: { readonly name: string; readonly answers: readonly PastAnswer[] } = {
  name: 'Perrin',
  answers: COURSES.flatMap(([topic, course, seconds]) =>
    [...course].map((points, i) => ({
      topic,
      hoursAgo: Math.round(FORTNIGHT_H * (1 - i / course.length)) + 2,
      seconds: points === '1' ? seconds * LATE + 8 : seconds + (i % 4),
      isRight: points !== '0',
    })),
  ),
};
