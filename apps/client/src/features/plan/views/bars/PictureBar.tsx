import { useRef, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { ProgressBar, Text } from 'react-native-paper';
import { BarButton, BarIcon } from '../../../../ui/BarButton';
import { useColours } from '../../../../ui/theme';
import type { HouseToDraw } from '../../../../workers/raise.worker';
import { lent } from '../../later/lent';
import type { Pose } from '../gait';
import { sunNow } from '../raising';
import type { Lens } from '../space/lens';
import type { Studio, Wanted } from '../space/studio';
import type { Shown } from '../space/things';
import { backgroundOf, lensOf, poseAt, shownFrom } from '../vantage-view';
import { Bar } from './Bar';
import { KeptPictures } from './KeptPictures';

const {
  DropMenu,
  download,
  edit,
  fileName,
  pictureFrom,
  planActions,
  selectOption,
  useAppDispatch,
  useAppSelector,
  vantagesInOrder,
} = lent();

const SHAPES = [
  ['1:1', 1],
  ['4:3', 4 / 3],
  ['3:2', 3 / 2],
  ['16:9', 16 / 9],
] as const;
/** Of its longer side, px. */
const SIZES = [1280, 1920, 2560, 3840] as const;
const TYPES = [
  ['PNG', 'image/png'],
  ['JPEG', 'image/jpeg'],
] as const;
/** From outside, mm. */
const OUTSIDE_LENS: Lens = { mm: 26, uprights: false };

/** A picture of what is seen now, or one of every vantage, at any size: quick, as on the screen. */
export function PictureBar({
  house,
  studio,
  now,
  called,
  close,
}: {
  house: HouseToDraw;
  studio: Studio;
  now: { pose(): Pose; lens: Lens | null; shown: Shown };
  /** The name of the vantage, if it is one. */
  called: string | null;
  close(): void;
}) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const option = useAppSelector(selectOption);
  const [shape, setShape] = useState(2);
  const [size, setSize] = useState<number>(1920);
  const [type, setType] = useState(0);
  const [shade, setShade] = useState(true);
  const [keeps, setKeeps] = useState(false);
  const [progress, setProgress] = useState<number | null>(null);
  const stopped = useRef(false);
  const vantages = vantagesInOrder(plan);
  const ratio = SHAPES[shape]![1];
  const ending = TYPES[type]![0].toLowerCase().replace('jpeg', 'jpg');
  const take = async (all: readonly { name: string; from(): Promise<Pick<Wanted, 'pose' | 'lens' | 'shown'>> }[]) => {
    stopped.current = false;
    setProgress(0);
    try {
      for (const [i, { name, from: asked }] of all.entries()) {
        const from = await asked();
        const wanted: Wanted = {
          ...from,
          ...{ width: size, height: Math.round(size / ratio), type: TYPES[type]![1] },
          ...{ background: backgroundOf(from.shown, colours.sheet), shade },
        };
        const blob = await studio.take(wanted, (share) => setProgress((i + share) / all.length));
        if (stopped.current) return;
        if (!keeps) {
          download(`${fileName(plan.job.name)}-${fileName(name)}.${ending}`, blob.type, blob);
          continue;
        }
        const picture = await dispatch(pictureFrom(new File([blob], `${name}.${ending}`, { type: blob.type })));
        if (!picture) return;
        dispatch(edit({ kind: 'keepTaken', name, picture, time: new Date().toISOString() }));
      }
    } catch {
      const text = 'This picture is more than the browser can draw. Try a smaller one.';
      dispatch(planActions.said({ text, tone: 'refused' }));
    } finally {
      setProgress(null);
    }
  };
  const here = () => Promise.resolve({ pose: now.pose(), lens: now.lens ?? OUTSIDE_LENS, shown: now.shown });
  const each = vantages.map((vantage) => ({
    name: vantage.name,
    from: async () => {
      const sun = await sunNow(plan, option, vantage.sun);
      const shown = shownFrom(vantage, sun?.towards ?? null);
      return { pose: poseAt(vantage, house.walkable), lens: lensOf(vantage), shown };
    },
  }));
  return (
    <View testID="picture">
      <Bar>
        {SHAPES.map(([label], i) => (
          <BarButton key={label} label={label} chosen={shape === i} onPress={() => setShape(i)} />
        ))}
        <DropMenu
          icon="menu-down"
          label={`${size} px`}
          says={`Its longer side is ${size} px. Change.`}
          entries={SIZES.map((px) => ({
            title: `${px} px`,
            icon: px === size ? 'check' : 'blank',
            onPress: () => setSize(px),
          }))}
        />
        {TYPES.map(([label], i) => (
          <BarButton key={label} label={label} chosen={type === i} onPress={() => setType(i)} />
        ))}
        <BarButton
          label="Soft shade"
          says="Soft shade where things meet"
          chosen={shade}
          onPress={() => setShade(!shade)}
        />
        <BarButton
          label={keeps ? 'Kept with the job' : 'As a file'}
          says={keeps ? 'They are kept with the job. Change.' : 'They leave as files. Change.'}
          onPress={() => setKeeps(!keeps)}
        />
      </Bar>
      <View style={styles.gap} />
      <Bar>
        <BarButton
          strong
          disabled={progress !== null}
          label="Take it"
          says="Take the picture"
          onPress={() => void take([{ name: called ?? 'view', from: here }])}
        />
        {vantages.length > 1 && (
          <BarButton
            disabled={progress !== null}
            label={`All ${vantages.length} vantages`}
            says={`A picture of each of ${vantages.length} vantages`}
            onPress={() => void take(each)}
          />
        )}
        <View style={styles.grow} />
        <BarIcon
          icon="close"
          says="Close the picture"
          onPress={() => {
            stopped.current = true;
            close();
          }}
        />
      </Bar>
      <KeptPictures />
      {progress !== null && (
        <View style={styles.progress}>
          <ProgressBar progress={progress} color={colours.brassDeep} />
          <Text style={{ color: colours.inkSoft }}>{`Drawing it: ${Math.round(100 * progress)} %`}</Text>
        </View>
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  gap: { height: 6 },
  grow: { flex: 1 },
  progress: { paddingHorizontal: 10, paddingTop: 6, gap: 4 },
});
