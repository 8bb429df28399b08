import { DRILL_TOPICS, TOPICS, type DrillTopic } from './topics.ts';

/** An answer that was given to a case. */
export interface DrillAnswer {
  readonly topic: DrillTopic;
  readonly isRight: boolean;
  readonly seconds: number;
}

/** An answer of somebody who comes with a past. */
export interface PastAnswer extends DrillAnswer {
  readonly hoursAgo: number;
}

/** The last so many answers of a topic tell how it stands. */
export const LOOKED_AT = 20;
/** Fewer than so many tell nothing yet. */
const FEW = 5;
/** Right and in time this often, it is known at the counter. */
const KNOWN_SHARE = 0.9;

/** Right in time counts two, right later one. */
export const pointsOf = ({ topic, isRight, seconds }: DrillAnswer): number =>
  !isRight ? 0 : seconds <= TOPICS[topic].parSeconds ? 2 : 1;
export const MOST_POINTS = 2;

export const STANDINGS = ['not-begun', 'few', 'practise', 'known'] as const;
export type Standing = (typeof STANDINGS)[number];
export const STANDING_WORDS: Readonly<Record<Standing, string>> = {
  'not-begun': 'not begun',
  few: 'too few to tell',
  practise: 'to practise',
  known: 'known',
};

export interface TopicProgress {
  readonly topic: DrillTopic;
  /** Of the last answers, how many there are and how many are right. */
  readonly of: number;
  readonly right: number;
  readonly points: number;
  /** The middle one; undefined without answers. */
  readonly typicalSeconds: number | undefined;
  readonly standing: Standing;
  /** The last answers, the oldest first: the points of each. */
  readonly course: readonly number[];
}

/** How each topic stands by its last answers. `answers`: the latest first. */
export function progressOf(answers: readonly DrillAnswer[]): readonly TopicProgress[] {
  return DRILL_TOPICS.map((topic) => {
    const last = answers.filter((answer) => answer.topic === topic).slice(0, LOOKED_AT);
    const course = last.map(pointsOf).reverse();
    const points = course.reduce((sum, one) => sum + one, 0);
    const seconds = last.map((answer) => answer.seconds).sort((a, b) => a - b);
    const share = last.length === 0 ? 0 : points / (MOST_POINTS * last.length);
    return {
      topic,
      of: last.length,
      right: last.filter(({ isRight }) => isRight).length,
      points,
      typicalSeconds: seconds[Math.floor((seconds.length - 1) / 2)],
      standing:
        last.length === 0 ? 'not-begun' : last.length < FEW ? 'few' : share >= KNOWN_SHARE ? 'known' : 'practise',
      course,
    };
  });
}

/** Topics in the order in which they want practice: those with too few answers first, then the least points an answer. */
export function byNeed(progress: readonly TopicProgress[]): readonly DrillTopic[] {
  const share = ({ of, points }: TopicProgress) => (of < FEW ? -1 : points / of);
  return [...progress].sort((a, b) => share(a) - share(b) || a.of - b.of).map(({ topic }) => topic);
}
