/** A docket number as it is printed everywhere: five figures. */
export const printDocket = (docket: number): string => String(docket).padStart(5, '0');
