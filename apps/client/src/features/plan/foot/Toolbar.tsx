import { SHAPES } from '@velvet-tape/core';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { fitAll, takeTool } from '../commands';
import { planActions } from '../plan-slice';
import type { ToolName } from '../plan-state';
import type { ToolChoices } from '../tool-choices';
import { TOOL_WORDS } from '../tool-names';
import { TraceOptions, UnderlayOptions } from '../underlay/UnderlayOptions';
import { selectTraced } from '../underlay/selectors';

/** The tools, in reach of the thumb, and above them what can be chosen about the one in hand. */
export function Toolbar({ wide }: { wide: boolean }) {
  const colours = useColours();
  return (
    <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      <ToolOptions />
      <View style={styles.bar}>
        <ScrollView
          horizontal
          showsHorizontalScrollIndicator={false}
          contentContainerStyle={styles.tools}
          style={styles.scroll}
          accessibilityLabel="Tools"
        >
          {(Object.keys(TOOL_WORDS) as ToolName[]).map((name) => (
            <ToolButton key={name} name={name} wide={wide} />
          ))}
        </ScrollView>
        <Magnet wide={wide} />
        <Fit wide={wide} />
      </View>
    </View>
  );
}

function ToolButton({ name, wide }: { name: ToolName; wide: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const on = useAppSelector((state) => state.plan.tool === name);
  const { label, icon, key } = TOOL_WORDS[name];
  const ink = on ? colours.onVelvet : colours.ink;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      aria-selected={on}
      onPress={() => dispatch(takeTool(name))}
      style={[
        wide ? styles.wideTool : styles.tool,
        { backgroundColor: on ? colours.velvet : colours.chalk, borderColor: colours.linenDeep },
      ]}
    >
      <Icon source={icon} size={22} color={ink} />
      <Text style={[wide ? styles.wideName : styles.toolName, { color: ink }]}>{label}</Text>
      {wide && <Text style={[styles.key, { color: ink }]}>{key}</Text>}
    </Pressable>
  );
}

function Magnet({ wide }: { wide: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const free = useAppSelector((state) => state.plan.choices.free);
  return (
    <IconButton
      icon={free ? 'magnet-on' : 'magnet'}
      iconColor={free ? colours.inkSoft : colours.ink}
      mode={free ? 'outlined' : 'contained-tonal'}
      accessibilityLabel={`Snapping is ${free ? 'off' : 'on'}${wide ? ' (Z)' : ''}`}
      aria-selected={!free}
      onPress={() => dispatch(planActions.choicesMade({ free: !free }))}
      style={[styles.icon, free && styles.off]}
    />
  );
}

function Fit({ wide }: { wide: boolean }) {
  const dispatch = useAppDispatch();
  return (
    <IconButton
      icon="fit-to-screen-outline"
      accessibilityLabel={wide ? 'Fit (F)' : 'Fit'}
      onPress={() => dispatch(fitAll)}
      style={styles.icon}
    />
  );
}

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

/** What can be chosen about the tool in hand. */
export function ToolOptions() {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.plan.tool);
  const choices = useAppSelector((state) => state.plan.choices);
  const readings = useAppSelector(({ plan: { plan } }) =>
    plan ? Object.keys(plan.readings).length + Object.keys(plan.heights).length : 0,
  );
  const traced = useAppSelector((state) => selectTraced(state) !== null);
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
          <BarButton
            key={shape}
            label={shape[0]!.toUpperCase() + shape.slice(1)}
            chosen={choices.shape === shape}
            onPress={choose({ shape })}
          />
        ));
      case 'bump':
        return BUMPS.map(([bump, label]) => (
          <BarButton key={bump} label={label} chosen={choices.bump === bump} onPress={choose({ bump })} />
        ));
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
  return (
    shown && (
      <ScrollView horizontal showsHorizontalScrollIndicator={false} contentContainerStyle={styles.options}>
        {shown}
      </ScrollView>
    )
  );
}

const styles = StyleSheet.create({
  foot: { borderTopWidth: 1 },
  bar: { flexDirection: 'row', alignItems: 'center', gap: 4, paddingHorizontal: 6, paddingVertical: 6 },
  scroll: { flex: 1 },
  tools: { gap: 4, alignItems: 'center' },
  tool: {
    minWidth: 62,
    minHeight: TOUCH + 4,
    borderRadius: 10,
    borderWidth: 1,
    paddingHorizontal: 8,
    alignItems: 'center',
    justifyContent: 'center',
  },
  wideTool: {
    minWidth: 52,
    paddingHorizontal: 5,
    minHeight: TOUCH + 4,
    borderRadius: 10,
    borderWidth: 1,
    alignItems: 'center',
    justifyContent: 'center',
  },
  key: { position: 'absolute', top: 1, right: 5, fontSize: 10.5, lineHeight: 14 },
  wideName: { fontFamily: FONTS.sans, fontSize: 11.5, lineHeight: 16 },
  toolName: { fontFamily: FONTS.sans, fontSize: 12.5, lineHeight: 16 },
  options: { gap: 6, paddingHorizontal: 8, paddingTop: 6, alignItems: 'center' },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
  off: { opacity: 0.75 },
});
