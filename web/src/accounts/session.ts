import { useQuery } from '@tanstack/react-query';
import { Server } from '../api/client';

/** The question who is signed in. */
export const SESSION = Server.queryOptions('get', '/api/session', {}, { staleTime: 60_000 });

/** Who is signed in. */
export const useSession = () => useQuery(SESSION);
