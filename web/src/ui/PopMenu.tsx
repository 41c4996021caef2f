import { lazy, type ReactNode, Suspense, useState } from 'react';

/** A line of a menu: a press, the way to a page, or a file to take. */
export interface Choice {
  words: string;
  /** The key that does the same. */
  key?: string;
  onChoose?: () => void;
  to?: string;
  file?: string;
}

export interface MenuProps {
  button: ReactNode;
  /** What the button is called where its content is no word. */
  label?: string;
  className: string;
  /** How the menu itself looks: how wide it is, how large its text. */
  look: string;
  choices: Choice[];
}

const load = () => import('./OpenMenu');
const OpenMenu = lazy(load);

/** A button that opens a menu. What draws the menu is loaded when somebody comes near: most pages are read without one. */
export function PopMenu(props: MenuProps) {
  const [wanted, setWanted] = useState(false);
  const near = () => void load().catch(() => undefined);
  const plain = (
    <button
      type="button"
      aria-haspopup="menu"
      aria-expanded="false"
      aria-label={props.label}
      className={props.className}
      onPointerEnter={near}
      onFocus={near}
      onClick={() => setWanted(true)}
      onKeyDown={(event) => {
        if (event.key !== 'ArrowDown') return;
        event.preventDefault();
        setWanted(true);
      }}
    >
      {props.button}
    </button>
  );
  return wanted ? (
    <Suspense fallback={plain}>
      <OpenMenu {...props} />
    </Suspense>
  ) : (
    plain
  );
}
