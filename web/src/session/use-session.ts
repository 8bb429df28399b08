import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call, ProblemError } from '../wire/call.ts';

const KEY = ['session'] as const;

/** Who is signed in; `null` when nobody is. */
export function useSession() {
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
  });
}

/** Whether who is signed in keeps the catalogue; the server asks the same of every call. */
export function useMayMend(): boolean {
  const role = useSession().data?.role;
  return role === 'editor' || role === 'supervisor';
}

export function useSignIn() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { name: string; password: string }) => call('signIn', { body }),
    onSuccess: (staff) => {
      queries.setQueryData(KEY, staff);
    },
  });
}

/** Hands the counter to another person. What is on the desk stays. */
export function useSwitchPerson() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: { staffId: string; pin: string }) => call('switchPerson', { body }),
    onSuccess: (staff) => {
      queries.setQueryData(KEY, staff);
      void queries.invalidateQueries({ queryKey: ['slips'] });
    },
  });
}

export function useSignOut() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: () => call('signOut', {}),
    onSuccess: () => {
      queries.clear();
      queries.setQueryData(KEY, null);
    },
  });
}
