import { usePaper } from '../ui/paper';
import { PopMenu } from '../ui/PopMenu';

/** The list as a file. */
export function ExportMenu({ list }: { list: number }) {
  const [paper] = usePaper();
  const file = (ending: string) => `/api/lists/${list}/export.${ending}`;
  return (
    <PopMenu
      button="Export ▾"
      className="text-accent hover:border-edge rounded border border-transparent px-2.5 py-1 leading-tight"
      look="w-64"
      choices={[
        { words: 'Printed list (PDF), with verdicts', file: `${file('pdf')}?paper=${paper}` },
        { words: 'Workbook (XLSX)', file: file('xlsx') },
        { words: 'CSV, for any program', file: file('csv') },
        { words: 'JSON, without loss for other tools', file: file('json') },
      ]}
    />
  );
}
