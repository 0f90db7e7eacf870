import { lazy, useEffect, useState } from 'react';
import { IconButton } from 'react-native-paper';
import { BarButton } from './BarButton';
import { Quiet } from './Part';
import { Tile } from './Tile';
import { TOUCH } from './theme';

export interface MenuEntry {
  readonly title: string;
  readonly icon?: string;
  onPress(): void;
}

/** Comes when the first menu is opened. */
const OpenMenu = lazy(() => import('./OpenMenu'));

/** A sign that opens a menu. The menu is there only while it is open: mounted closed it would take the focus. */
export function DropMenu({
  icon,
  says,
  label,
  tile = false,
  iconColor,
  entries,
}: {
  icon: string;
  says: string;
  /** Written beside the sign. */
  label?: string;
  /** It stands among tiles. */
  tile?: boolean;
  iconColor?: string;
  entries: readonly MenuEntry[];
}) {
  const [open, setOpen] = useState(false);
  useEffect(() => (open ? withArrows() : undefined), [open]);
  const anchor = tile ? (
    <Tile icon={icon} label={label ?? says} says={says} onPress={() => setOpen(true)} />
  ) : label ? (
    <BarButton icon={icon} label={label} says={says} onPress={() => setOpen(true)} />
  ) : (
    <IconButton
      icon={icon}
      accessibilityLabel={says}
      onPress={() => setOpen(true)}
      style={{ width: TOUCH, height: TOUCH, margin: 0 }}
      {...(iconColor && { iconColor })}
    />
  );
  if (!open) return anchor;
  return (
    <Quiet instead={anchor}>
      <OpenMenu anchor={anchor} entries={entries} close={() => setOpen(false)} />
    </Quiet>
  );
}

/** The arrows go through the entries of the open menu, from its last to its first. Returns what ends that. */
function withArrows(): () => void {
  const stop = new AbortController();
  const go = (event: KeyboardEvent) => {
    const way = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    const entries = [...document.querySelectorAll<HTMLElement>('[role=menuitem]')];
    if (way === undefined || entries.length === 0) return;
    event.preventDefault();
    event.stopPropagation();
    const at = entries.indexOf(document.activeElement as HTMLElement);
    entries.at(at < 0 && way < 0 ? -1 : (at + way) % entries.length)?.focus();
  };
  globalThis.addEventListener?.('keydown', go, { signal: stop.signal, capture: true });
  return () => stop.abort();
}
