import { useAppDispatch, useAppSelector } from '../../../store/store';
import { PICTURES, pickFiles } from '../../../pictures/pick';
import { BarButton } from '../../../ui/BarButton';
import { planActions } from '../plan-slice';
import { bringIn, chooseUnderlay, showUnderlay } from './commands';
import { selectTraced, selectUnderlays } from './selectors';

/** With the underlay tool in hand: pictures to bring in, and those that are there. */
export function UnderlayOptions() {
  const dispatch = useAppDispatch();
  const underlays = useAppSelector(selectUnderlays);
  const pick = (camera: boolean) =>
    void pickFiles({ accept: PICTURES, camera, several: !camera }).then((files) => dispatch(bringIn(files)));
  return (
    <>
      <BarButton
        strong={underlays.length === 0}
        icon="image-plus"
        label="Bring in"
        says="Bring in a picture or PDF"
        onPress={() => pick(false)}
      />
      <BarButton icon="camera-outline" label="Camera" says="Take a picture" onPress={() => pick(true)} />
      {[...underlays].reverse().map(({ id, name, hidden }) => (
        <BarButton
          key={id}
          icon={hidden ? 'eye-off-outline' : 'image-outline'}
          label={name.length > 18 ? `${name.slice(0, 17)}…` : name}
          says={`Underlay ${name}`}
          onPress={() => {
            dispatch(chooseUnderlay(id));
            dispatch(showUnderlay);
          }}
        />
      ))}
    </>
  );
}

const LINES = [
  ['inner', 'Inner face'],
  ['centre', 'Middle'],
  ['outer', 'Outer face'],
  ['off', 'Don’t trace'],
] as const;

/** With a drawing tool in hand, over a picture of known scale: which line of its walls is followed. */
export function TraceOptions() {
  const dispatch = useAppDispatch();
  const trace = useAppSelector((state) => state.plan.choices.trace);
  const traced = useAppSelector(selectTraced);
  if (!traced) return null;
  return LINES.map(([line, label]) => (
    <BarButton
      key={line}
      label={label}
      says={line === 'off' ? 'Do not trace the picture' : `Trace along the ${label.toLowerCase()}`}
      chosen={trace === line}
      onPress={() => dispatch(planActions.choicesMade({ trace: line }))}
    />
  ));
}
