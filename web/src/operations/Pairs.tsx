import type { Form, Sheet, Who } from './plan';
import { mustTalk, whoKey, whos, withPair } from './plan';
import { SideScroll } from '../ui/SideScroll';

/** Who must reach whom: a field for every two. */
export function Pairs({
  form,
  sheet,
  disabled,
  onChange,
}: {
  form: Form;
  sheet: Sheet;
  disabled: boolean;
  onChange: (form: Form) => void;
}) {
  const all = whos(form);
  if (all.length < 2) return null;
  const name = (who: Who) =>
    sheet.watches[form.watches.findIndex((each) => whoKey(each.who) === whoKey(who))]?.name ?? '';
  return (
    <section aria-label="Who must reach whom">
      <h2 className="text-second text-soft pb-1">Who must reach whom, both ways</h2>
      <SideScroll label="Who must reach whom, as a table" className="border-line bg-sheet rounded border">
        <table>
          <thead>
            <tr>
              <td />
              {all.slice(0, -1).map((one) => (
                <th
                  key={whoKey(one)}
                  scope="col"
                  className="text-second px-1.5 py-1 text-left align-bottom font-semibold"
                >
                  <span className="block max-w-24 break-words">{name(one)}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {all.slice(1).map((other, row) => (
              <tr key={whoKey(other)} className="border-line border-t">
                <th scope="row" className="px-3 py-1 text-left font-semibold whitespace-nowrap">
                  {name(other)}
                </th>
                {all.slice(0, row + 1).map((one) => (
                  <td key={whoKey(one)} className="px-1.5 py-1">
                    <input
                      type="checkbox"
                      className="block size-5"
                      aria-label={`${name(one)} and ${name(other)}`}
                      disabled={disabled}
                      checked={mustTalk(form, one, other)}
                      onChange={(event) => onChange(withPair(form, one, other, event.target.checked))}
                    />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </SideScroll>
    </section>
  );
}
