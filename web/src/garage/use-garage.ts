import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../controls/toast.ts';
import type { GarageVehicle } from '@brackenfell/contract/garage';
import { call } from '../wire/call.ts';

export const useVehicles = (q: string) =>
  useQuery({
    queryKey: ['garage', 'list', q],
    queryFn: () => call('searchGarage', { query: { q } }),
    placeholderData: keepPreviousData,
  });

export const useVehicle = (vehicleId: string | undefined) =>
  useQuery({
    queryKey: ['garage', 'vehicle', vehicleId],
    queryFn: () => call('getGarageVehicle', { params: { vehicleId: vehicleId! } }),
    enabled: vehicleId !== undefined,
  });

export const useDues = (days: number) =>
  useQuery({ queryKey: ['garage', 'due', days], queryFn: () => call('listDue', { query: { days } }) });

/**
 * A write in the garage book; a vehicle that comes back stands at once. What was typed stays where it is refused, and what is
 * asked back where it stands (`isAsked`) is not told a second time.
 */
export function useGarageWrite<T = GarageVehicle>(isAsked: (error: Error) => boolean = () => false) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (write: () => Promise<T>) => write(),
    onSuccess: (answer) => {
      const vehicle = answer as Partial<GarageVehicle> | null;
      if (vehicle?.vehicleId && vehicle.fitted) queries.setQueryData(['garage', 'vehicle', vehicle.vehicleId], answer);
    },
    onError: (error) => {
      if (!isAsked(error)) toast.error(`${error.message} Nothing was changed.`);
    },
    onSettled: () => {
      void queries.invalidateQueries({ queryKey: ['garage'] });
      void queries.invalidateQueries({ queryKey: ['slips'] });
    },
  });
}
