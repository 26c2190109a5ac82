import { useQuery } from '@tanstack/react-query';
import { api, bodyOf } from './client';
import { keys } from './keys';

/** Every tank's last twenty-four hours, the most urgent first. */
export const useHouse = () =>
  useQuery({
    queryKey: keys.house,
    queryFn: () => bodyOf(api.GET('/api/v1/house')),
    refetchInterval: 60_000,
  });
