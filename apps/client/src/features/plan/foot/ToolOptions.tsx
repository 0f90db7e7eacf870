import { ROOF_FORMS, SHAPES } from '@velvet-tape/core';
import { StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { capital } from '../../../ui/capital';
import { useColours } from '../../../ui/theme';
import { later } from '../later/later';
import { ofNotes } from '../notes/notes-room';
import { ofPieces } from '../pieces/pieces-room';
import { planActions } from '../plan-slice';
import { selectFloor } from '../selectors';
import { followOn, outlinesBeside } from '../sketching/follow';
import type { ToolChoices } from '../tool-choices';
import { TOOL_WORDS } from '../tool-names';
import { TraceOptions, UnderlayOptions } from '../underlay/UnderlayOptions';
import { selectTraced } from '../underlay/selectors';

const BUMPS = [
  ['box', 'Square'],
  ['slanted', 'Slanted'],
  ['round', 'Round'],
  ['breast', 'Chimney breast'],
] as const;
const SOLIDS = [
  ['Column', 'column', 'rectangle', 'square-outline'],
  ['Round column', 'column', 'round', 'circle-outline'],
  ['Pier', 'pier', 'rectangle', 'rectangle-outline'],
  ['Round pier', 'pier', 'round', 'circle-half'],
] as const;

const CEILINGS = [
  ['Slope', 'slope'],
  ['Gable', 'gable'],
  ['Hip', 'hip'],
  ['Mono', 'mono'],
  ['Mansard', 'mansard'],
  ['Dormer', 'dormer'],
  ['Beam', 'beam'],
  ['Dropped', 'dropped'],
  ['Step', 'step'],
] as const;

const STAIRS = [
  ['Flights', 'stairs', 'stairs'],
  ['Spiral', 'spiral', 'rotate-right'],
  ['Ladder', 'ladder', 'ladder'],
  ['Hatch', 'hatch', 'square-outline'],
  ['Ramp', 'ramp', 'slope-uphill'],
] as const;

const NotesBar = later(() => ofNotes('NotesBar'));
const PiecesBar = later(() => ofPieces('PiecesBar'));
const AreaWords = later(() => import('../areas/AreaWords'));

/** What can be chosen about the tool in hand. */
export function ToolOptions() {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.plan.tool);
  const choices = useAppSelector((state) => state.plan.choices);
  const readings = useAppSelector(({ plan: { plan } }) =>
    plan ? Object.keys(plan.readings).length + Object.keys(plan.heights).length : 0,
  );
  const traced = useAppSelector((state) => selectTraced(state) !== null);
  const colours = useColours();
  const beside = useAppSelector((state) => outlinesBeside(state).length > 0);
  const bare = useAppSelector(
    (state) => state.plan.proposal !== null || selectFloor(state)?.network.walls.length === 0,
  );
  const roof = useAppSelector((state) => state.plan.proposal?.kind === 'roof');
  const choose = (made: Partial<ToolChoices>) => () => dispatch(planActions.choicesMade(made));
  const options = () => {
    switch (tool) {
      case 'box':
      case 'loop':
        return traced ? <TraceOptions /> : null;
      case 'underlay':
        return <UnderlayOptions />;
      case 'corners':
      case 'divide':
        return [
          <BarButton key="wall" label="Wall" chosen={!choices.chalk} onPress={choose({ chalk: false })} />,
          <BarButton key="chalk" label="Chalk line" chosen={choices.chalk} onPress={choose({ chalk: true })} />,
          <TraceOptions key="trace" />,
          beside && tool === 'corners' && (
            <BarButton
              key="below"
              icon="layers-outline"
              label="Along the floor below"
              onPress={() => dispatch(followOn)}
            />
          ),
        ];
      case 'measure':
        return [
          <BarButton
            key="readings"
            icon="format-list-numbered"
            label={`Readings (${readings})`}
            onPress={() => dispatch(planActions.listed('readings'))}
          />,
        ];
      case 'shape':
        return SHAPES.map((shape) => (
          <BarButton key={shape} label={capital(shape)} chosen={choices.shape === shape} onPress={choose({ shape })} />
        ));
      case 'bump':
        return BUMPS.map(([bump, label]) => (
          <BarButton key={bump} label={label} chosen={choices.bump === bump} onPress={choose({ bump })} />
        ));
      case 'stairs':
        return STAIRS.map(([label, form, icon]) => (
          <BarButton
            key={form}
            label={label}
            icon={icon}
            chosen={choices.stairs.form === form}
            onPress={choose({ stairs: { ...choices.stairs, form } })}
          />
        ));
      case 'notes':
        return <NotesBar />;
      case 'pieces':
        return <PiecesBar />;
      case 'areas':
        return <AreaWords />;
      case 'ceiling':
        return CEILINGS.filter(([, ceiling]) => !roof || (ROOF_FORMS as readonly string[]).includes(ceiling)).map(
          ([label, ceiling]) => (
            <BarButton key={ceiling} label={label} chosen={choices.ceiling === ceiling} onPress={choose({ ceiling })} />
          ),
        );
      case 'column':
        return SOLIDS.map(([label, solid, shape, icon]) => (
          <BarButton
            key={label}
            label={label}
            icon={icon}
            chosen={choices.solid.solid === solid && choices.solid.shape === shape}
            onPress={choose({ solid: { solid, shape } })}
          />
        ));
      default:
        return null;
    }
  };
  const shown = options();
  const how = bare ? null : TOOL_WORDS[tool].how;
  if (!shown && !how) return null;
  return (
    <View style={styles.options}>
      {shown}
      {how && <Text style={[styles.how, { color: colours.inkSoft }]}>{how}</Text>}
    </View>
  );
}

const styles = StyleSheet.create({
  options: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 6,
    paddingHorizontal: 8,
    paddingTop: 6,
    alignItems: 'center',
  },
  how: { width: '100%', fontSize: 13.5, lineHeight: 17, paddingHorizontal: 4 },
});
