import { ICONS } from './icons';
import { Path, Window } from './svg';

/** A sign by its name, in the colour of the words beside it. */
export function HouseIcon({ name, color = 'currentColor', size }: { name: string; color?: string; size: number }) {
  const path = ICONS.get(name);
  if (path === undefined && __DEV__) throw new Error(`There is no sign “${name}” in ui/icons.ts.`);
  return (
    <Window width={size} height={size} viewBox="0 0 24 24" aria-hidden>
      <Path d={path ?? ''} fill={color} />
    </Window>
  );
}
