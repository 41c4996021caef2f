import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';

export type Tool = 'bring' | 'directory' | 'swap' | 'tones' | 'names' | 'arrange';

const TOOLS: [Tool, string, string][] = [
  ['bring', 'Bring in a table', ''],
  ['directory', 'Repeaters near', 'd'],
  ['swap', 'Swap the service', ''],
  ['tones', 'Plan the tones', ''],
  ['names', 'Fit the names to a display', ''],
  ['arrange', 'Order, numbers, zones', ''],
];

/** What can be done with the list as a whole. */
export function ToolMenu({ onChoose }: { onChoose: (tool: Tool) => void }) {
  return (
    <Menu>
      <MenuButton className="text-accent text-second hover:border-edge rounded border border-transparent px-2.5 py-1 leading-tight whitespace-nowrap">
        Tools ▾
      </MenuButton>
      <MenuItems
        anchor="bottom end"
        className="border-edge bg-sheet z-30 w-64 rounded border p-1 shadow-lg focus:outline-none"
      >
        {TOOLS.map(([tool, label, key]) => (
          <MenuItem key={tool}>
            <button
              type="button"
              className="data-focus:bg-accent-wash flex w-full rounded px-2.5 py-1.5 text-left"
              onClick={() => onChoose(tool)}
            >
              <span className="grow">{label}</span>
              {key && <kbd className="text-soft font-mono">{key}</kbd>}
            </button>
          </MenuItem>
        ))}
      </MenuItems>
    </Menu>
  );
}
