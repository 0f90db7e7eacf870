import type { ReactNode } from 'react';
import { Menu } from 'react-native-paper';
import type { MenuEntry } from './DropMenu';
import { TOUCH } from './theme';

/** A menu that grows is met by a quick thumb on the wrong entry, or beside it. */
const AT_ONCE = { animation: { scale: 0 } };

/** The entries of a menu that is open, beside what opened it. */
export default function OpenMenu({
  anchor,
  entries,
  close,
}: {
  anchor: ReactNode;
  entries: readonly MenuEntry[];
  close(): void;
}) {
  return (
    <Menu visible onDismiss={close} anchor={anchor} theme={AT_ONCE}>
      {entries.map((entry) => (
        <Menu.Item
          key={entry.title}
          title={entry.title}
          style={{ minHeight: TOUCH }}
          onPress={() => {
            close();
            entry.onPress();
          }}
          {...(entry.icon && { leadingIcon: entry.icon })}
        />
      ))}
    </Menu>
  );
}
