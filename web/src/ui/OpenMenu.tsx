import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import type { Choice, MenuProps } from './PopMenu';

const ITEM = 'data-focus:bg-accent-wash flex w-full items-baseline rounded px-2.5 py-1.5 text-left';

/** The menu behind a button, open from the start: it came because the button was pressed. */
export default function OpenMenu({ button, label, className, look, choices }: MenuProps) {
  const opener = useRef<HTMLButtonElement>(null);
  const opened = useRef(false);
  useEffect(() => {
    if (opened.current) return;
    opened.current = true;
    opener.current?.focus();
    opener.current?.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
  }, []);
  return (
    <Menu>
      <MenuButton ref={opener} aria-label={label} className={className}>
        {button}
      </MenuButton>
      <MenuItems
        anchor="bottom end"
        className={`border-edge bg-sheet z-30 rounded border p-1 shadow-lg focus:outline-none ${look}`}
      >
        {choices.map((choice) => (
          <Item key={choice.words} choice={choice} />
        ))}
      </MenuItems>
    </Menu>
  );
}

function Item({ choice }: { choice: Choice }) {
  const inner = (
    <>
      <span className="grow">{choice.words}</span>
      {choice.key && <kbd className="text-soft font-mono">{choice.key}</kbd>}
    </>
  );
  if (choice.to)
    return (
      <MenuItem as={Link} to={choice.to} className={ITEM}>
        {inner}
      </MenuItem>
    );
  if (choice.file)
    return (
      <MenuItem as="a" href={choice.file} download className={ITEM}>
        {inner}
      </MenuItem>
    );
  return (
    <MenuItem as="button" type="button" className={ITEM} onClick={choice.onChoose}>
      {inner}
    </MenuItem>
  );
}
