'use client';

import dynamic from 'next/dynamic';
import { patiently } from './patiently';
import { useId, useState, type ComponentPropsWithoutRef, type ReactElement } from 'react';

/** One line of a menu: something to do, somewhere to go, a file, or a heading over the lines below it. */
export type MenuEntry =
  | { readonly kind: 'do'; readonly label: string; readonly onClick: () => void }
  | {
      readonly kind: 'go';
      readonly label: string;
      readonly href: string;
      readonly isHere?: boolean;
    }
  /** Something the browser takes home: no page. */
  | { readonly kind: 'file'; readonly label: string; readonly href: string }
  | { readonly kind: 'heading'; readonly label: string };

export type TargetProps = Pick<
  ComponentPropsWithoutRef<'button'>,
  'id' | 'onClick' | 'onPointerEnter' | 'onFocus' | 'aria-haspopup' | 'aria-expanded'
>;

export interface LazyMenuProps {
  /** The button that opens it; it has to hand on what it is given. */
  readonly target: (props: TargetProps) => ReactElement;
  /** Asked for when the menu is opened. */
  readonly entries: () => readonly MenuEntry[];
  readonly width?: number;
  /** Told when it is opened. */
  readonly onOpen?: () => void;
}

const load = patiently(() => import('./OpenedMenu').then((one) => one.OpenedMenu));
const OpenedMenu = dynamic(load);

/**
 * A menu whose machinery is fetched when somebody reaches for it: until then there is a button. A
 * page of fourteen of them is fourteen buttons.
 */
export function LazyMenu({ target, entries, width, onOpen }: LazyMenuProps) {
  const [isWanted, setWanted] = useState(false);
  const id = useId();
  const reach = () => void load().catch(() => undefined);
  if (!isWanted) {
    return target({
      id,
      onClick: () => {
        onOpen?.();
        // The button stays until there is a menu to take its place, however late that is.
        const open = () => setWanted(true);
        load().then(open, open);
      },
      onPointerEnter: reach,
      onFocus: reach,
      'aria-haspopup': 'menu',
      'aria-expanded': false,
    });
  }
  return (
    <OpenedMenu
      target={target({})}
      entries={entries()}
      onClose={(chosen) => {
        setWanted(false);
        // The button is drawn anew; whoever works by keys goes on from it. Who has gone elsewhere
        // meanwhile stays there. What was chosen is done after that, so that a dialog knows where to
        // go back to.
        requestAnimationFrame(() => {
          if (document.activeElement === document.body) document.getElementById(id)?.focus();
          chosen?.();
        });
      }}
      {...(width === undefined ? {} : { width })}
    />
  );
}
