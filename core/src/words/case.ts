/** With its first letter large, to begin a sentence. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
/** With its first letter small, to stand within one. */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
