import { useState } from 'react';
import { useAddress } from '../ui/useAddress';
import type { BroughtIn } from './bring';

/** Where what is brought in goes, and who will carry it: a new list of a name and a team, or a list that is there. */
export function useDestination(brought: BroughtIn) {
  const [params] = useAddress();
  const [name, setName] = useState(brought.name);
  const [chosen, setInto] = useState(params.get('into') ?? '');
  const [carriers, setCarriers] = useState(brought.lastTeam ?? '');
  const into = chosen === '' ? null : Number(chosen);
  return {
    name,
    setName,
    into,
    setInto,
    /** The team that stands there for a new list, whatever is chosen now. */
    carriers,
    setCarriers,
    team: into !== null || carriers === '' ? null : carriers,
  };
}

export type Destination = ReturnType<typeof useDestination>;
