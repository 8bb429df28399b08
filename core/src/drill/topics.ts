/** What is practised, in the order a new starter meets it. */
export const DRILL_TOPICS = [
  'one-check',
  'verdict',
  'worn',
  'number',
  'heat',
  'gap-units',
  'torque',
  'tells',
  'old-plugs',
] as const;
export type DrillTopic = (typeof DRILL_TOPICS)[number];

interface Topic {
  readonly title: string;
  /** What a case of it asks, in a few words. */
  readonly about: string;
  /** Answered within so many seconds, it counts as known at the counter. */
  readonly parSeconds: number;
}

export const TOPICS: Readonly<Record<DrillTopic, Topic>> = {
  'one-check': { title: 'One check', about: 'what one difference amounts to', parSeconds: 20 },
  verdict: { title: 'Sell it or not', about: 'a part held against its engine', parSeconds: 45 },
  heat: { title: 'Heat scales', about: 'colder or hotter by so many steps', parSeconds: 10 },
  worn: { title: 'Worn stampings', about: 'which number it can only be', parSeconds: 15 },
  number: { title: 'Reading a number', about: 'what a place in it tells', parSeconds: 15 },
  'gap-units': {
    title: 'Gaps both ways',
    about: 'mm and thousandths, no limit widened',
    parSeconds: 25,
  },
  torque: { title: 'Torque', about: 'thread, seat and head, no maker’s own', parSeconds: 15 },
  tells: { title: 'Tells', about: 'what speaks against a piece', parSeconds: 15 },
  'old-plugs': { title: 'Old plugs', about: 'signs and where they stand', parSeconds: 25 },
};
