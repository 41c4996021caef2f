import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** The rulebooks that there are. */
export const useRulebooks = () =>
  useQuery({
    queryKey: ['rulebooks'],
    staleTime: Infinity,
    queryFn: () => data(api.GET('/api/rulebooks')),
  });
