import { StyleSheet } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../../ui/BarButton';
import { useColours } from '../../../../ui/theme';
import { lent } from '../../later/lent';
import type { Pose } from '../gait';
import type { How, Shown } from '../space/things';
import { useLengths } from '../use-lengths';
import { Bar, TYPED } from './Bar';
import { KeepView } from './KeepView';
import { type Light, LookButtons } from './LookButtons';

const { Written } = lent();

/** Eyes of a small child, and of somebody on a ladder, mm. */
const EYES = { lowest: 300, highest: 2500 };

/** How one walks in the house. */
export function InsideBar({
  eye,
  setEye,
  how,
  setHow,
  now,
  kept,
  time,
  toSun,
  toFinish,
}: Light & {
  eye: number;
  setEye(mm: number): void;
  how: Shown;
  setHow(to: Partial<How>): void;
  now(): Pose;
  kept(id: string): void;
}) {
  const colours = useColours();
  const { written, typed, say } = useLengths();
  const keep = (mm: number): boolean => {
    if (mm < EYES.lowest || mm > EYES.highest)
      return say(`Eyes are between ${written(EYES.lowest)} and ${written(EYES.highest)} over the floor.`);
    setEye(mm);
    return true;
  };
  return (
    <Bar>
      <Written
        style={TYPED}
        key={eye}
        label="Height of the eyes"
        value={written(eye)}
        keep={(text) => typed(text, keep)}
      />
      <BarButton
        label="Furnished"
        says="With what stands loose in the rooms"
        chosen={how.furnished}
        onPress={() => setHow({ furnished: !how.furnished })}
      />
      <LookButtons time={time} toSun={toSun} toFinish={toFinish} />
      <KeepView now={now} shown={how} outside={false} kept={kept} time={time} />
      <Text style={[styles.words, { color: colours.inkSoft }]}>
        Drag to look round. The ring walks; so do the arrow keys.
      </Text>
    </Bar>
  );
}

const styles = StyleSheet.create({ words: { flex: 1, minWidth: 180, fontSize: 14, lineHeight: 18 } });
