import { NavLink } from 'react-router';
import { tab } from '../ui/PageHeader';

/** The pages of one list. */
export function ListTabs({ list }: { list: number }) {
  const pages: [string, string][] = [
    [`/lists/${list}`, 'Desk'],
    [`/lists/${list}/who`, 'Who may key'],
    [`/lists/${list}/fit`, 'Fit'],
    [`/lists/${list}/site`, 'On site'],
    [`/lists/${list}/abroad`, 'Abroad'],
    [`/lists/${list}/place`, 'Place and rules'],
    [`/lists/${list}/versions`, 'Versions'],
    [`/lists/${list}/release`, 'Release'],
  ];
  return (
    <nav aria-label="The list" className="flex max-w-full flex-wrap">
      {pages.map(([to, label]) => (
        <NavLink key={to} to={to} end className={({ isActive }) => tab(isActive)}>
          {label}
        </NavLink>
      ))}
    </nav>
  );
}
