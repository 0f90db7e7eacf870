import { StyleSheet, View } from 'react-native';
import { Button, IconButton } from 'react-native-paper';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { TOUCH, useColours } from '../../ui/theme';
import { fitAll, takeTool } from './commands';
import { viewActions } from './view-slice';

/** The tools, in reach of the thumb. */
export function Toolbar({ wide }: { wide: boolean }) {
  const dispatch = useAppDispatch();
  const tool = useAppSelector((state) => state.plan.tool);
  const colours = useColours();
  const button = (name: 'choose' | 'room', label: string, icon: string, key: string) => (
    <Button
      mode={tool === name ? 'contained' : 'outlined'}
      icon={icon}
      contentStyle={styles.tall}
      onPress={() => dispatch(takeTool(name))}
      accessibilityLabel={label}
      accessibilityState={{ selected: tool === name }}
      textColor={tool === name ? undefined : colours.ink}
    >
      {wide ? `${label} (${key})` : label}
    </Button>
  );
  return (
    <View style={[styles.bar, { backgroundColor: colours.chalk, borderColor: colours.linenDeep }]}>
      {button('choose', 'Choose', 'gesture-tap', 'C')}
      {button('room', 'Draw room', 'vector-square-plus', 'R')}
      <View style={styles.space} />
      {wide && (
        <IconButton
          icon="minus"
          accessibilityLabel="Zoom out (−)"
          onPress={() => dispatch(viewActions.zoomed({ factor: 1 / 1.25 }))}
          style={styles.icon}
        />
      )}
      {wide && (
        <IconButton
          icon="plus"
          accessibilityLabel="Zoom in (+)"
          onPress={() => dispatch(viewActions.zoomed({ factor: 1.25 }))}
          style={styles.icon}
        />
      )}
      <IconButton
        icon="fit-to-screen-outline"
        accessibilityLabel={wide ? 'Fit (F)' : 'Fit'}
        onPress={() => dispatch(fitAll)}
        style={styles.icon}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 8,
    paddingHorizontal: 10,
    paddingVertical: 8,
    borderTopWidth: 1,
  },
  space: { flex: 1 },
  tall: { minHeight: TOUCH },
  icon: { width: TOUCH, height: TOUCH, margin: 0 },
});
