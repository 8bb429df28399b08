/** A contradiction planted in the data: by which rule it is one, between which numbers, and what was planted. */
export interface PlantedContradiction {
  readonly rule: string;
  readonly between: readonly string[];
  readonly tells: string;
}

const planted = (rule: string, between: readonly string[], tells: string): PlantedContradiction => ({
  rule,
  between,
  tells,
});

/** Every contradiction of the demo world, as the rules of references owe it; an audit finds these and nothing else. */
export const PLANTED_CONTRADICTIONS: readonly PlantedContradiction[] = [
  planted('reach-differs', ['TS 500 226', 'KN 426G-63DR'], 'a list calls a 26.5 mm plug the equal of a 19 mm one'),
  planted('seat-differs', ['TS 500 226', 'TS 500 187'], 'the same list calls a taper plug the equal of a gasket one'),
  planted('seat-differs', ['KN 812T-61NR', 'TS 500 412'], 'one link launders a taper seat into a gasket seat, M18'),
  planted('reach-differs', ['IVX-C26-J07', 'KN 219G-63IR'], 'a 19 mm slim plug called the equal of a 26.5 mm one'),
  planted('reach-differs', ['KN 412G-59N', 'KN 419G-59N'], 'a long-reach plug for the air-cooled twin'),
  planted('reach-differs', ['KN 412G-59N', 'KN 409G-59N'], 'the pump’s short plug called equal, by two sellers’ lines'),
  planted('reach-differs', ['HB/9/55.C1', 'HB/19/55.C1'], 'the danger of a long reach in the pump single'),
  planted('resistor-differs', ['KN 419G-67SR', 'KN 419G-67S'], 'the rally plug’s twin without its resistor'),
  planted(
    'heat-differs',
    ['KN 226G-65KR', 'KN 226G-61IR'],
    'a plug two steps hotter called the equal of a boosted one',
  ),
  planted('leads-to-discontinued', ['HB/19/45.C1'], 'references that promise a plug no longer made'),
  planted('leads-to-nothing', ['TS 500 295'], 'a supersession to a number its own maker never listed'),
  planted('leads-to-nothing', ['CL 2051'], 'an equal of a maker nobody here knows'),
  planted('number-shared', ['KN 412G-61N', 'TS 500 121'], 'one box print on two makers’ boxes'),
  planted('renamed-in-a-ring', ['P-66-2190/1', 'P-66-2190/2'], 'two numbers that replace each other'),
  planted(
    'split-undecided',
    ['TG 17510 AA', 'TG 17510 AB', 'TG 17510 AC'],
    'two successors and no word for which engine',
  ),
  planted('figures-disagree', ['TS 500 237'], 'one gauging that contradicts the catalogue’s reach'),
  planted('figures-disagree', ['TS 500 238'], 'two sheets of one maker that disagree about the resistor'),
  planted('figures-disagree', ['HB/19/45.D1'], 'a wholesaler’s list that gives another reach than the maker'),
  planted('interval-outlives-plug', ['KN 438G-61DR'], 'a long interval over the maker’s own two-piece plug'),
  planted('filled-by-two', ['P-66-2210/3'], 'one engine maker’s number filled by two makers'),
];
