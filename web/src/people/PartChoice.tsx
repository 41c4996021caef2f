import { Choice } from '../ui/Choice';
import type { Role } from '../api/client';
import { ROLE_NAMES } from './roles';

interface Props {
  role: Role;
  party: number | null;
  parties: { id: number; name: string }[];
  onRole: (role: Role) => void;
  onParty: (party: number | null) => void;
}

/** What somebody is in the group, and who of the roster they are. */
export function PartChoice({ role, party, parties, onRole, onParty }: Props) {
  return (
    <>
      <Choice
        label="As"
        value={role}
        options={ROLE_NAMES.map((each) => [each, each] as const)}
        onChange={onRole}
      />
      <Choice
        label="Who of the roster"
        value={party === null ? '' : String(party)}
        options={[
          ['', role === 'member' ? 'choose who' : 'nobody'] as const,
          ...parties.map((each) => [String(each.id), each.name] as const),
        ]}
        onChange={(text) => onParty(text ? Number(text) : null)}
      />
    </>
  );
}
