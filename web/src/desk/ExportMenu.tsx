import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';

const ITEM = 'data-focus:bg-accent-wash block rounded px-2.5 py-1.5';

/** The list as a file. */
export function ExportMenu({ list }: { list: number }) {
  return (
    <Menu>
      <MenuButton className="text-accent hover:border-edge rounded border border-transparent px-2.5 py-1 leading-tight">
        Export ▾
      </MenuButton>
      <MenuItems
        anchor="bottom end"
        className="border-edge bg-sheet z-30 w-64 rounded border p-1 shadow-lg focus:outline-none"
      >
        <MenuItem>
          <a className={ITEM} href={`/api/lists/${list}/export.pdf`} download>
            Printed list (PDF), with verdicts
          </a>
        </MenuItem>
        <MenuItem>
          <a className={ITEM} href={`/api/lists/${list}/export.xlsx`} download>
            Workbook (XLSX)
          </a>
        </MenuItem>
        <MenuItem>
          <a className={ITEM} href={`/api/lists/${list}/export.csv`} download>
            CSV, for any program
          </a>
        </MenuItem>
        <MenuItem>
          <a className={ITEM} href={`/api/lists/${list}/export.json`} download>
            JSON, without loss for other tools
          </a>
        </MenuItem>
      </MenuItems>
    </Menu>
  );
}
