import { useMutation, useQuery, useQueryClient, type QueryClient } from '@tanstack/react-query';
import type { Staff } from '@brackenfell/contract/session';
import { call, ProblemError } from '../wire/call.ts';

const KEY = ['session'] as const;
/** Somebody comes, takes over or leaves. */
const CHANGE = ['change of session'] as const;

/** Who is signed in; `null` when nobody is. */
export function useSession() {
  const queries = useQueryClient();
  return useQuery({
    queryKey: KEY,
    queryFn: async () => {
      try {
        return await call('whoAmI', {});
      } catch (error) {
        if (error instanceof ProblemError && error.problem.code === 'not-signed-in') return null;
        throw error;
      }
    },
    // While it changes nobody is asked who is here: the answer would be of the session before, which has ended by then.
    enabled: () => queries.isMutating({ mutationKey: CHANGE }) === 0,
  });
}

/** Takes who is here from now on. What was asked of the session before is not waited for: it would come later and undo this. */
export async function takeSession(queries: QueryClient, staff: Staff | null): Promise<void> {
  await queries.cancelQueries({ queryKey: KEY });
  queries.setQueryData(KEY, staff);
}

/** Whether who is signed in keeps the catalogue; the server asks the same of every call. */
export function useMayMend(): boolean {
  const role = useSession().data?.role;
  return role === 'editor' || role === 'supervisor';
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationKey: CHANGE,
    mutationFn: (body: { name: string; password: string }) => call('signIn', { body }),
    onSuccess: (staff) => takeSession(queries, staff),
  });
}

/** What is done before a session ends: what was written in it is sent. Gives how many writes could not be. */
export type BeforeItEnds = () => Promise<number>;

/** Hands the counter to another person. What is on the desk stays. */
export function useSwitchPerson(beforeItEnds: BeforeItEnds) {
  const queries = useQueryClient();
  return useMutation({
    mutationKey: CHANGE,
    onMutate: () => queries.cancelQueries({ queryKey: KEY }),
    mutationFn: async (body: { staffId: string; pin: string }) => {
      const unsent = await beforeItEnds();
      return { staff: await call('switchPerson', { body }), unsent };
    },
    onSuccess: async ({ staff }) => {
      await takeSession(queries, staff);
      void queries.invalidateQueries({ queryKey: ['slips'] });
    },
  });
}

export function useSignOut(beforeItEnds: BeforeItEnds) {
  const queries = useQueryClient();
  return useMutation({
    mutationKey: CHANGE,
    mutationFn: async () => {
      await beforeItEnds();
      return call('signOut', {});
    },
    onSuccess: async () => {
      await takeSession(queries, null);
      // What was seen is no longer there for whoever comes next. The shop's own is no secret of anybody.
      queries.removeQueries({ predicate: ({ queryKey }) => queryKey[0] !== KEY[0] && queryKey[0] !== 'shop' });
    },
  });
}
