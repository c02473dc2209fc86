import { NavLink } from 'react-router';

/** The pages of one place, side by side under its heading; the one that is open is underlined in green. */
export function PageNav({
  label,
  pages,
}: {
  readonly label: string;
  /** The first is the place itself. */
  readonly pages: readonly { readonly to: string; readonly name: string }[];
}) {
  return (
    <nav aria-label={label} className="no-print mb-6 flex flex-wrap gap-x-6 border-b border-rule">
      {pages.map(({ to, name }, at) => (
        <NavLink
          key={to}
          to={to}
          end={at === 0}
          className={({ isActive }) =>
            `-mb-px border-b-4 py-2 ${isActive ? 'border-beam font-bold' : 'border-transparent hover:border-edge'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
