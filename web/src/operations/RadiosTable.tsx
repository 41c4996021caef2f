import { Link } from 'react-router';
import { SideScroll } from '../ui/SideScroll';
import type { Sheet } from './plan';

/** Who of the operation has which radio, and what is in it. */
export function RadiosTable({ people }: { people: Sheet['people'] }) {
  if (people.length === 0) return null;
  return (
    <section aria-label="Who has which radio">
      <h2 className="text-second text-soft pb-1">Who has which radio</h2>
      <SideScroll label="Who has which radio, as a table" className="border-line bg-sheet rounded border">
        <table className="w-full">
          <thead>
            <tr className="text-second text-soft text-left">
              <th scope="col" className="px-3 py-1 font-normal">
                Person
              </th>
              <th scope="col" className="px-3 py-1 font-normal">
                Carries
              </th>
              <th scope="col" className="px-3 py-1 font-normal">
                Radio, and what is in it
              </th>
            </tr>
          </thead>
          <tbody>
            {people.map((person) => (
              <tr key={person.party} className="border-line border-t align-top">
                <th scope="row" className="px-3 py-1 text-left font-semibold whitespace-nowrap">
                  {person.name}
                </th>
                <td className="px-3 py-1">
                  {person.carries.length > 0 ? (
                    person.carries.join(', ')
                  ) : (
                    <span className="text-hold">none of the lists</span>
                  )}
                </td>
                <td className="px-3 py-1">
                  {person.radios.length === 0 && <span className="text-soft">none of the group’s</span>}
                  {person.radios.map((radio) => (
                    <div key={radio.unit}>
                      <Link
                        to={`/radios?unit=${radio.unit}`}
                        className="text-accent underline underline-offset-2"
                      >
                        {radio.label || radio.model}
                      </Link>{' '}
                      <span className="text-soft">
                        {radio.label && `${radio.model}: `}
                        {radio.inside || 'not known what is in it'}
                      </span>
                    </div>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </SideScroll>
    </section>
  );
}
