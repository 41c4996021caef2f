import { PopMenu } from '../ui/PopMenu';

export type Tool = 'bring' | 'propose' | 'directory' | 'swap' | 'tones' | 'names' | 'arrange';

const TOOLS: [Tool, string, string?][] = [
  ['bring', 'Bring in a table'],
  ['propose', 'Propose a list'],
  ['directory', 'Repeaters near', 'd'],
  ['swap', 'Swap the service'],
  ['tones', 'Plan the tones'],
  ['names', 'Fit the names to a display'],
  ['arrange', 'Order, numbers, zones'],
];

/** What can be done with the list as a whole. */
export function ToolMenu({ onChoose }: { onChoose: (tool: Tool) => void }) {
  return (
    <PopMenu
      button="Tools ▾"
      className="text-accent text-second hover:border-edge rounded border border-transparent px-2.5 py-1 leading-tight whitespace-nowrap"
      look="w-64"
      choices={TOOLS.map(([tool, words, key]) => ({ words, key, onChoose: () => onChoose(tool) }))}
    />
  );
}
