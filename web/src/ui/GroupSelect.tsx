import { useGroup } from '../accounts/group';

/** The choice of group, for those who are in several. */
export function GroupSelect() {
  const { groups, group, choose } = useGroup();
  if (groups.length < 2) return null;
  return (
    <select
      aria-label="Group"
      className="border-edge bg-sheet rounded border px-2 py-1"
      value={group?.id}
      onChange={(event) => choose(Number(event.target.value))}
    >
      {groups.map((each) => (
        <option key={each.id} value={each.id}>
          {each.name}
        </option>
      ))}
    </select>
  );
}
