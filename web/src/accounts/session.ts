import { useQuery } from '@tanstack/react-query';
import { api, data } from '../api/client';

/** Who is signed in. */
export const useSession = () =>
  useQuery({ queryKey: ['session'], queryFn: () => data(api.GET('/api/session')), staleTime: 60_000 });
