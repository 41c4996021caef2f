import { useState } from 'react';
import type { Schemas } from '../api/client';
import { INPUT } from '../ui/Field';
import { megahertz } from '../ui/Megahertz';
import { SideScroll } from '../ui/SideScroll';
import { isFound, where } from './found';

type Sheet = Schemas['BandSheet'];

const HEAD = 'text-second text-soft py-1 pr-4 text-left font-normal align-bottom';
const CELL = 'border-line border-t py-1 pr-4 align-top';

/** The law and the plan of a band, to be read through and searched. */
export function SheetTable({ sheet }: { sheet: Sheet }) {
  const [search, setSearch] = useState('');
  const law = sheet.law.filter((each) =>
    isFound(search, each.low, each.high, `${each.words} ${each.onlyFrom ?? ''} ${each.source}`),
  );
  const plan = sheet.plan.filter((each) =>
    isFound(search, each.low, each.high, `${each.words} ${each.channels} ${each.local ? 'ours' : ''}`),
  );
  return (
    <div className="flex flex-col gap-4">
      <input
        type="search"
        aria-label="Find in this band"
        placeholder="A frequency in MHz, or a word such as repeater"
        className={`${INPUT} max-w-md print:hidden`}
        value={search}
        onChange={(event) => setSearch(event.target.value)}
      />
      <section aria-label="The law">
        <h3 className="font-semibold">The law allows</h3>
        {law.length === 0 ? (
          <p className="text-soft">Nothing here says “{search.trim()}”.</p>
        ) : (
          <SideScroll label="The law, as a table">
            <table className="w-full min-w-[36rem]">
              <thead>
                <tr>
                  <th className={HEAD}>MHz</th>
                  <th className={HEAD}>What</th>
                  <th className={HEAD}>From</th>
                  <th className={HEAD}>Power</th>
                  <th className={HEAD}>Source</th>
                </tr>
              </thead>
              <tbody>
                {law.map((each) => (
                  <tr key={`${each.low} ${each.words}`}>
                    <td className={`${CELL} font-mono whitespace-nowrap`}>
                      {each.channel ? megahertz((each.low + each.high) / 2) : where(each.low, each.high)}
                    </td>
                    <td className={CELL}>{each.words}</td>
                    <td className={`${CELL} ${each.onlyFrom ? '' : 'text-soft'}`}>
                      {each.onlyFrom ?? 'allowed'}
                    </td>
                    <td className={`${CELL} whitespace-nowrap`}>{each.power}</td>
                    <td className={`${CELL} text-second text-soft`}>{each.source}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </SideScroll>
        )}
      </section>
      {sheet.plan.length > 0 && (
        <section aria-label="The band plan">
          <h3 className="font-semibold">The band plan keeps it for</h3>
          {plan.length === 0 ? (
            <p className="text-soft">Nothing here says “{search.trim()}”.</p>
          ) : (
            <SideScroll label="The band plan, as a table">
              <table className="w-full min-w-[36rem]">
                <thead>
                  <tr>
                    <th className={HEAD}>MHz</th>
                    <th className={HEAD}>What</th>
                    <th className={HEAD}>Channels and pairs</th>
                    <th className={HEAD}>Whose</th>
                  </tr>
                </thead>
                <tbody>
                  {plan.map((each) => (
                    <tr key={`${each.low} ${each.high} ${each.words}`}>
                      <td className={`${CELL} font-mono whitespace-nowrap`}>{where(each.low, each.high)}</td>
                      <td className={`${CELL} ${each.calling ? 'font-semibold' : ''}`}>{each.words}</td>
                      <td className={CELL}>{each.channels}</td>
                      <td className={`${CELL} ${each.local ? 'text-query' : 'text-soft'}`}>
                        {each.local ? 'our own' : 'national'}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            </SideScroll>
          )}
        </section>
      )}
    </div>
  );
}
