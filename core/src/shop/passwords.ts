const LEAST_LENGTH = 12;
const LEAST_DIFFERENT = 6;

/** Why a password is too weak for who may let others in; undefined where it is not. Length counts, not kinds of character. */
function weakness(password: string, name: string): string | undefined {
  if ([...password].length < LEAST_LENGTH) return `takes ${LEAST_LENGTH} characters or more: three words do`;
  if (new Set(password.toLowerCase()).size < LEAST_DIFFERENT) return 'repeats itself: use other characters';
  const own = name.trim().toLowerCase();
  return own !== '' && password.toLowerCase().includes(own) ? 'holds the name it goes with' : undefined;
}

/** The same of a password that somebody of a role is to have: only a supervisor's lets others in. */
export const weaknessFor = (role: string, password: string, name: string): string | undefined =>
  role === 'supervisor' ? weakness(password, name) : undefined;
