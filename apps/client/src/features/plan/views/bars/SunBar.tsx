import type { DayAndTime } from '@velvet-tape/core/sun';
import { createElement } from 'react';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../../ui/BarButton';
import { FONTS, useColours } from '../../../../ui/theme';
import type { HouseToDraw, SunOverHouse } from '../../../../workers/raise.worker';
import { lent } from '../../later/lent';
import { useLengths } from '../use-lengths';
import { Bar, TYPED } from './Bar';

const { Written, decimals, edit, formatArea, useAppDispatch, useAppSelector } = lent();

/** Days of the year, months by their names. */
const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** Minutes from one place of the slider to the next. */
const STEP = 10;

/** Through the day and through the year: where the sun is, and how much floor it falls on. */
export function SunBar({
  house,
  time,
  setTime,
  over,
  close,
  off,
}: {
  house: HouseToDraw;
  time: DayAndTime;
  setTime(to: DayAndTime): void;
  over: SunOverHouse | null;
  close(): void;
  /** In even light again. */
  off(): void;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const { say } = useLengths();
  const { place, units } = useAppSelector((state) => state.plan.plan!.job);
  const put =
    (field: 'latitude' | 'longitude' | 'zone') =>
    (text: string): boolean => {
      const value = Number(text.trim().replace(',', '.').replace('−', '-'));
      if (text.trim() === '' || !Number.isFinite(value))
        return say(field === 'zone' ? 'Type hours, like 1 or −5.' : 'Type degrees, like 52.2 or −1.5.');
      // a house that is somewhere has clocks near to the sun there
      const usual = place ?? { latitude: 50, longitude: 0, zone: 0 };
      const next = { ...usual, [field]: field === 'zone' ? Math.round(60 * value) : value };
      if (!place && field === 'longitude') next.zone = 60 * Math.round(value / 15);
      return dispatch(edit({ kind: 'changeJob', details: { place: next } })).ok;
    };
  const names = new Map(house.walkable.floors.flatMap(({ rooms }) => rooms.map(({ room, name }) => [room, name])));
  const falls = (over?.rooms ?? [])
    .filter(({ area }) => area > 50_000)
    .sort((a, b) => b.area - a.area)
    .map(({ room, area }) => `${names.get(room) ?? 'a room'} ${formatArea(area, units)}`);
  const date = new Date(Date.UTC(2026, 0, time.day));
  const clock = `${Math.floor(time.minutes / 60)}:${String(time.minutes % 60).padStart(2, '0')}`;
  return (
    <View testID="sun" style={styles.sun}>
      <Bar>
        <Written
          style={TYPED}
          key={`lat ${place?.latitude}`}
          label="Latitude"
          value={place ? written(place.latitude) : ''}
          keep={put('latitude')}
        />
        <Written
          style={TYPED}
          key={`lon ${place?.longitude}`}
          label="Longitude"
          value={place ? written(place.longitude) : ''}
          keep={put('longitude')}
        />
        <Written
          style={TYPED}
          key={`zone ${place?.zone}`}
          label="Clock, h"
          value={place ? written(place.zone / 60) : ''}
          keep={put('zone')}
        />
        <BarButton label="No sun" onPress={off} />
        <BarIcon icon="close" says="Close the sun" onPress={close} />
      </Bar>
      {place ? (
        <>
          <Slide
            label="Time of day"
            text={clock}
            value={time.minutes}
            most={1440 - STEP}
            step={STEP}
            set={(minutes) => setTime({ ...time, minutes })}
          />
          <Slide
            label="Day of the year"
            text={`${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]!}`}
            value={time.day}
            least={1}
            most={365}
            step={1}
            set={(day) => setTime({ ...time, day })}
          />
          <Text role="status" style={[styles.words, { color: colours.ink }]}>
            {over
              ? `The sun is ${over.words}. ${falls.length > 0 ? `On the floor: ${falls.join(', ')}.` : over.sun.altitude > 0 ? 'It falls on no floor.' : ''}`
              : ''}
          </Text>
        </>
      ) : (
        <Text style={[styles.words, { color: colours.inkSoft }]}>
          Where is the house? Degrees, north and east are positive; the clock is its hours from Greenwich.
        </Text>
      )}
    </View>
  );
}

const written = (value: number): string => decimals(value, 3).replace(/[.,]?0+$/, '');

/** The browser’s own slider: a thumb, arrow keys and a screen reader know it. */
function Slide({
  label,
  text,
  value,
  least = 0,
  most,
  step,
  set,
}: {
  label: string;
  text: string;
  value: number;
  least?: number;
  most: number;
  step: number;
  set(value: number): void;
}) {
  const colours = useColours();
  return (
    <View style={styles.slide}>
      {createElement('input', {
        ...{ type: 'range', min: least, max: most, step, value },
        ...{ 'aria-label': label, 'aria-valuetext': text },
        onChange: (event: { target: { value: string } }) => set(Number(event.target.value)),
        style: { flex: 1, height: 44, accentColor: colours.brassDeep, margin: 0 },
      })}
      <Text style={[styles.figure, { color: colours.ink }]}>{text}</Text>
    </View>
  );
}

const styles = StyleSheet.create({
  sun: { gap: 4 },
  slide: { flexDirection: 'row', alignItems: 'center', gap: 10, paddingHorizontal: 14 },
  figure: { width: 108, fontFamily: FONTS.strong, fontSize: 15, fontVariant: ['tabular-nums'] },
  words: { paddingHorizontal: 14, paddingBottom: 4, fontSize: 14.5, lineHeight: 19 },
});
