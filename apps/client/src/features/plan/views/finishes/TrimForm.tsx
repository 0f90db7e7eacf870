import type { TrimPart } from '@velvet-tape/core';
import { laterRooms } from '../../../../core-later/to-come';
import { BarButton } from '../../../../ui/BarButton';
import { lent } from '../../later/lent';
import { Bar, TYPED } from '../bars/Bar';
import { useLengths } from '../use-lengths';

const { USUAL_TRIM, ofOption, trimOf } = laterRooms();
const { DropMenu, TRIM_PROFILES, Written, capital, edit, useAppDispatch, useAppSelector } = lent();

/** The form of a skirting, a cornice, of window boards: of a room (null: of all), in an option (null: in all that say nothing else). */
export function TrimForm({ part, room, option }: { part: TrimPart; room: string | null; option: string | null }) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const { written, typed } = useLengths();
  const own = trimOf(ofOption(plan.trims, option), room ?? '', part);
  const { profile, height, depth } = own ?? {
    ...USUAL_TRIM[part],
    ...(part === 'board' ? {} : { profile: 'none' as const }),
  };
  const fit = (to: Partial<{ profile: typeof profile; height: number; depth: number }> | null): boolean =>
    dispatch(edit({ kind: 'fitTrim', part, room, to, option })).ok;
  // from none it becomes what is usual
  const formed = profile === 'none' ? { profile: USUAL_TRIM[part].profile } : {};
  const length = (label: string, field: 'height' | 'depth', value: number) => (
    <Written
      style={TYPED}
      key={`${field} ${value}`}
      label={label}
      value={written(value)}
      keep={(text) => typed(text, (mm) => fit({ ...formed, [field]: mm }))}
    />
  );
  return (
    <Bar>
      <DropMenu
        icon="menu-down"
        label={profile === 'none' ? 'No profile' : capital(profile)}
        says="Profile. Change."
        entries={TRIM_PROFILES.map((each) => ({
          title: each === 'none' ? 'None' : capital(each),
          icon: profile === each ? 'check' : 'blank',
          onPress: () => fit({ profile: each }),
        }))}
      />
      {length(part === 'board' ? 'Thick' : 'High', 'height', height)}
      {length(part === 'board' ? 'Before the wall' : 'Reaches out', 'depth', depth)}
      {own && room !== null && own.room === room && (
        <BarButton label="As the house" says="As the house has it" onPress={() => fit(null)} />
      )}
    </Bar>
  );
}
