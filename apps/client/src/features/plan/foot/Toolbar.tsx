import { memo } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { Icon, IconButton, Text } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { rem } from '../../../ui/rem';
import { FONTS, TOUCH, useColours } from '../../../ui/theme';
import { fitAll, takeTool } from '../commands';
import { FloorSwitch } from '../floors/FloorSwitch';
import { keepLeft } from '../hand';
import { planActions } from '../plan-slice';
import { ToolName } from '../plan-state';
import { ToolOptions } from './ToolOptions';
import { FIRST_TOOLS, TOOL_WORDS } from '../tool-names';

/** Those one needs first, the last other one, and the way to all of them: in reach of the thumb, and above them what can be chosen about the one in hand. */
export function Toolbar() {
  const colours = useColours();
  const open = useAppSelector((state) => state.plan.toolsOpen);
  const other = useAppSelector((state) => state.plan.lastTool);
  if (open) return <ToolPage />;
  return (
    <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      <ToolOptions />
      <View style={styles.bar} accessibilityLabel="Tools">
        {[...FIRST_TOOLS, other].map((name) => (
          <ToolButton key={name} name={name} />
        ))}
        <AllTools />
      </View>
    </View>
  );
}

/** All tools on a wide screen: as many rows as it takes. */
export const WideToolbar = memo(function WideToolbar() {
  const colours = useColours();
  return (
    <View style={[styles.foot, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      <ToolOptions />
      <View style={[styles.bar, styles.wrap]} accessibilityLabel="Tools">
        {ALL.map((name) => (
          <ToolButton key={name} name={name} wide />
        ))}
        <WhatShows />
        <Magnet wide />
        <Fit wide />
        <AskKeys />
      </View>
    </View>
  );
});

const ALL = Object.keys(TOOL_WORDS) as ToolName[];

/** Every tool with what it is for. */
function ToolPage() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <ScrollView
      testID="all-tools"
      style={{ backgroundColor: colours.chalk, maxHeight: 620 }}
      contentContainerStyle={[styles.page, styles.wrap]}
    >
      <View style={styles.head}>
        <Text style={[styles.title, { color: colours.ink }]} role="heading" aria-level={2}>
          Tools
        </Text>
        <Hand />
        <BarIcon icon="close" says="Close the tools" onPress={() => dispatch(planActions.toolsOpened(false))} />
      </View>
      {ALL.map((name) => (
        <ToolRow key={name} name={name} />
      ))}
    </ScrollView>
  );
}

/** Which hand works the device: once for all jobs on it. */
function Hand() {
  const dispatch = useAppDispatch();
  const left = useAppSelector((state) => state.plan.choices.left);
  return (
    <BarButton
      label="Left hand"
      chosen={left}
      onPress={() => {
        keepLeft(!left);
        dispatch(planActions.choicesMade({ left: !left }));
      }}
    />
  );
}

function ToolRow({ name }: { name: ToolName }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const on = useAppSelector((state) => state.plan.tool === name);
  const { label, icon, does } = TOOL_WORDS[name];
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      accessibilityHint={does}
      aria-pressed={on}
      onPress={() => dispatch(takeTool(name))}
      style={[styles.toolRow, { borderColor: on ? colours.brassDeep : colours.linenDeep }]}
    >
      <Icon source={icon} size={24} color={colours.ink} />
      <View style={styles.fill}>
        <Text style={[styles.rowName, { color: colours.ink }]}>{label}</Text>
        <Text style={[styles.does, { color: colours.inkSoft }]}>{does}</Text>
      </View>
    </Pressable>
  );
}

function AllTools() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel="All tools"
      onPress={() => dispatch(planActions.toolsOpened(true))}
      style={[styles.tool, { backgroundColor: colours.linenDeep, borderColor: colours.rim }]}
    >
      <Icon source="dots-horizontal" size={22} color={colours.ink} />
      <Text style={[styles.toolName, { color: colours.ink }]}>All</Text>
    </Pressable>
  );
}

const ToolButton = memo(function ToolButton({ name, wide = false }: { name: ToolName; wide?: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const on = useAppSelector((state) => state.plan.tool === name);
  const { label, short = label, icon, key } = TOOL_WORDS[name];
  const ink = on ? colours.onVelvet : colours.ink;
  return (
    <Pressable
      accessibilityRole="button"
      accessibilityLabel={label}
      aria-pressed={on}
      onPress={() => dispatch(takeTool(name))}
      style={[
        wide ? styles.wideTool : styles.tool,
        { backgroundColor: on ? colours.velvet : colours.chalk, borderColor: on ? colours.velvet : colours.rim },
      ]}
    >
      <Icon source={icon} size={22} color={ink} />
      <Text style={[wide ? styles.wideName : styles.toolName, { color: ink }]} numberOfLines={1}>
        {wide ? label : short}
      </Text>
      {wide && <Text style={[styles.key, { color: ink }]}>{key}</Text>}
    </Pressable>
  );
});

/** At the side of the sheet, away from the tools: what catches, and all of the house in view. */
export function SheetButtons() {
  const colours = useColours();
  const resting = useAppSelector(
    ({ plan }) => plan.selection.kind === 'nothing' && !plan.toolsOpen && plan.naming === null,
  );
  const left = useAppSelector((state) => state.plan.choices.left);
  if (!resting) return null;
  return (
    <View
      style={[
        styles.beside,
        left ? styles.atLeft : styles.atRight,
        { backgroundColor: colours.chalk, borderColor: colours.linenDeep },
      ]}
    >
      <FloorSwitch />
      <WhatShows />
      <Magnet />
      <Fit />
    </View>
  );
}

function WhatShows() {
  const dispatch = useAppDispatch();
  return (
    <IconButton
      icon="eye-outline"
      accessibilityLabel="What shows"
      onPress={() => dispatch(planActions.listed('looks'))}
      style={styles.icon}
    />
  );
}

function Magnet({ wide = false }: { wide?: boolean }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const free = useAppSelector((state) => state.plan.choices.free);
  return (
    <IconButton
      icon={free ? 'magnet-on' : 'magnet'}
      iconColor={free ? colours.inkSoft : colours.ink}
      mode={free ? 'outlined' : 'contained-tonal'}
      accessibilityLabel={`Snapping is ${free ? 'off' : 'on'}${wide ? ' (Z)' : ''}`}
      aria-pressed={!free}
      onPress={() => dispatch(planActions.choicesMade({ free: !free }))}
      style={[styles.icon, free && styles.off]}
    />
  );
}

function Fit({ wide = false }: { wide?: boolean }) {
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

function AskKeys() {
  const dispatch = useAppDispatch();
  return (
    <IconButton
      icon="keyboard-outline"
      accessibilityLabel="Keys (?)"
      onPress={() => dispatch(planActions.listed('keys'))}
      style={styles.icon}
    />
  );
}

const styles = StyleSheet.create({
  foot: { borderTopWidth: 1 },
  fill: { flex: 1 },
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: 4,
    paddingHorizontal: 6,
    paddingVertical: 6,
  },
  wrap: { flexWrap: 'wrap' },
  tool: {
    flex: 1,
    minWidth: rem(52),
    minHeight: TOUCH + 4,
    borderRadius: 10,
    borderWidth: 1,
    alignItems: 'center',
    justifyContent: 'center',
  },
  wideTool: {
    minWidth: 58,
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
  page: { flexDirection: 'row', gap: 6, padding: 8 },
  head: { width: '100%', flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', paddingLeft: 6 },
  title: { flex: 1, fontFamily: FONTS.serif, fontSize: 20 },
  toolRow: {
    flexGrow: 1,
    flexBasis: '46%',
    minWidth: 160,
    maxWidth: 400,
    minHeight: 66,
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    borderWidth: 1.5,
    borderRadius: 10,
    paddingHorizontal: 8,
    paddingVertical: 4,
  },
  rowName: { fontFamily: FONTS.strong, fontSize: 15, lineHeight: 19 },
  does: { fontSize: 12.5, lineHeight: 15 },
  atLeft: { left: 8 },
  atRight: { right: 8 },
  beside: { position: 'absolute', bottom: 8, borderRadius: 10, borderWidth: 1 },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
  off: { opacity: 0.75 },
});
