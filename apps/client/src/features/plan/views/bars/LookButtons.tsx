import type { DayAndTime } from '@velvet-tape/core/sun';
import { BarButton } from '../../../../ui/BarButton';

/** In which light the house is seen, under the sun of a time or even, and how it is finished. */
export interface Light {
  readonly time: DayAndTime | null;
  /** The sun comes out, and what it stands at is chosen. */
  toSun(): void;
  toFinish(): void;
}

export const LookButtons = ({ time, toSun, toFinish }: Light) => (
  <>
    <BarButton label="Finish" says="Finish: paint, floors, trims" onPress={toFinish} />
    <BarButton label="Sun" says="Sun: place, day and time" chosen={time !== null} onPress={toSun} />
  </>
);
