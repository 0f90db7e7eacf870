import type { Altered, OpeningForm } from '@velvet-tape/core';
import { StyleSheet, View, useWindowDimensions } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, WIDE, useColours } from '../../../ui/theme';
import { lent } from '../later/lent';
import { NEW_CHALK, NEW_WALL } from './new-wall';

const { DropMenu, capital, edit, faceByKey, planActions, selectFloor, selectOption, standOnFace, takeTool } = lent();
const { useAppDispatch, useAppSelector, usualSpec } = lent();

/** The options by their order. */
export const useOptions = () => {
  const options = useAppSelector((state) => state.plan.plan?.options);
  return Object.values(options ?? {}).sort((a, b) => a.order - b.order);
};

export const optionName = (name: string): string => (name.length === 1 ? `Option ${name}` : name);

/** Which option is looked at; what of the house it alters is told by what is chosen. */
export default function OptionBar() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const options = useOptions();
  const option = useAppSelector(selectOption);
  const form = useAppSelector((state) => state.plan.choices.piece.form);
  const own = options.find(({ id }) => id === option);
  const entries = [
    {
      title: 'Measured house',
      icon: option === null ? 'check' : 'blank',
      onPress: () => dispatch(planActions.optionShown(null)),
    },
    ...options.map(({ id, name, chosen }) => ({
      title: `${optionName(name)}${chosen ? ', chosen' : ''}`,
      icon: id === option ? 'check' : 'blank',
      onPress: () => dispatch(planActions.optionShown(id)),
    })),
    { title: 'Compare them', icon: 'table', onPress: () => dispatch(planActions.listed('options')) },
    ...(option
      ? [NEW_WALL, NEW_CHALK].map((what) => ({
          title: what === NEW_WALL ? 'Draw a new wall' : 'Draw a new chalk line',
          icon: 'plus',
          onPress: () => {
            dispatch(takeTool('pieces'));
            dispatch(planActions.choicesMade({ piece: { form: what, adding: false } }));
          },
        }))
      : []),
  ];
  const wide = useWindowDimensions().width >= WIDE;
  const drawing = form === NEW_WALL || form === NEW_CHALK;
  return (
    <View style={[styles.bar, wide && styles.over]} testID="option-bar">
      <View style={[styles.chip, { backgroundColor: colours.chalk }]}>
        <DropMenu
          icon="menu-down"
          label={own ? optionName(own.name) : 'Measured house'}
          says={`Option: ${own ? own.name : 'the measured house'}. Change.`}
          entries={entries}
        />
      </View>
      {own && !drawing && <Alter option={own.id} name={optionName(own.name)} />}
      {drawing && (
        <View style={[styles.chip, { backgroundColor: colours.chalk }]}>
          <Text style={[styles.says, { color: colours.ink }]}>Drag from wall to wall.</Text>
        </View>
      )}
    </View>
  );
}

const FORMS: readonly OpeningForm[] = ['hinged door', 'side-hung window', 'plain opening'];

/** What of the chosen wall, or opening, this option alters. */
function Alter({ option, name }: { option: string; name: string }) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const chosen = useAppSelector((state) => state.plan.selection);
  const floor = useAppSelector(selectFloor);
  const plan = useAppSelector((state) => state.plan.plan)!;
  if (!floor || (chosen.kind !== 'wall' && chosen.kind !== 'opening')) return null;
  const alter = (altered: Altered) => dispatch(edit({ kind: 'alterHouse', option, floor: floor.floor, altered }));
  const own = Object.values(plan.alterations).filter((each) => each.option === option);
  if (chosen.kind === 'opening') {
    const gone = own.find(({ altered }) => altered.kind === 'opening gone' && altered.opening === chosen.id);
    return (
      <View style={[styles.chip, { backgroundColor: colours.chalk }]}>
        <BarButton
          label={gone ? `Keep it in ${name}` : `Close it in ${name}`}
          onPress={() =>
            gone
              ? dispatch(edit({ kind: 'unalterHouse', alteration: gone.id }))
              : alter({ kind: 'opening gone', opening: chosen.id })
          }
        />
      </View>
    );
  }
  const face = faceByKey(floor, chosen.face);
  if (!face) return null;
  // where it goes on past the room behind it, outer walls stay
  const all = [...new Map(face.halves.map(({ wall }) => [wall.id, wall])).values()];
  const inner = all.filter(({ kind }) => kind === 'internal' || kind === 'chalk');
  const walls = (inner.length > 0 ? inner : all).map(({ id }) => id);
  const gone = own.filter(({ altered }) => altered.kind === 'wall gone' && walls.includes(altered.wall));
  const put = (form: OpeningForm) => {
    const spec = usualSpec(form, plan.job.units);
    const stand = standOnFace(floor.network, face, Math.max(0, (face.length - spec.width) / 2), spec.width);
    const hinge = stand.side === 'right' ? 'start' : 'end';
    alter({ kind: 'opening', stand, spec, hinge, swing: stand.side });
  };
  return (
    <View style={[styles.chip, { backgroundColor: colours.chalk }]}>
      <BarButton
        label={gone.length > 0 ? `Keep it in ${name}` : `Take it away in ${name}`}
        onPress={() => {
          if (gone.length > 0) gone.forEach(({ id }) => dispatch(edit({ kind: 'unalterHouse', alteration: id })));
          else walls.forEach((wall) => alter({ kind: 'wall gone', wall }));
        }}
      />
      {gone.length === 0 && (
        <DropMenu
          icon="plus"
          label="New in it"
          says="A new door, window or opening in it"
          entries={FORMS.map((form) => ({ title: capital(form), onPress: () => put(form) }))}
        />
      )}
    </View>
  );
}

/** What is altered, in words. */
export function alteredInWords(altered: Altered): string {
  switch (altered.kind) {
    case 'wall gone':
      return 'a wall taken away';
    case 'opening gone':
      return 'a door or window closed';
    case 'wall':
      return altered.chalk ? 'a new chalk line' : 'a new wall';
    case 'opening':
      return `a new ${altered.spec.form}`;
  }
}

const styles = StyleSheet.create({
  bar: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    gap: 6,
    padding: 6,
    pointerEvents: 'box-none',
    alignItems: 'center',
  },
  over: { position: 'absolute', top: 4, left: 4, right: 70 },
  chip: { flexDirection: 'row', borderRadius: 24, overflow: 'hidden' },
  says: { fontFamily: FONTS.sans, fontSize: 14, padding: 12 },
});
