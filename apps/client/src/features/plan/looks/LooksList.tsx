import type { NamedLook, ShownPart, Showing } from '@velvet-tape/core';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { FONTS, useColours } from '../../../ui/theme';
import { ListBar, ListPanel } from '../later/ListPanel';
import { lent } from '../later/lent';

const {
  Written,
  LOOKS,
  SHOWINGS,
  SHOWN_PARTS,
  capital,
  edit,
  isShown,
  lookContent,
  lookName,
  useAppDispatch,
  useAppSelector,
} = lent();

const SAID: Readonly<Record<ShownPart, string>> = {
  walls: 'Walls',
  openings: 'Doors and windows',
  fixed: 'Columns and piers',
  fitted: 'Fitted pieces',
  pieces: 'Loose pieces',
  'piece numbers': 'Numbers of pieces',
  stairs: 'Stairs',
  names: 'Names',
  areas: 'Areas',
  lengths: 'Lengths of walls',
  provenance: 'Where lengths come from',
  checks: 'Checks',
  numbers: 'Numbers of openings',
  levels: 'Levels',
  ceilings: 'Headroom, ceilings',
  tints: 'Tints',
  hatches: 'Hatches',
  'finish tints': 'Colours of floors',
  'finish patterns': 'What floors are laid with',
  dimensions: 'Dimension lines',
  notes: 'Texts and signs',
  pictures: 'Pictures under it',
  vantages: 'Vantages',
};
const SHOWING: Readonly<Record<Showing, string>> = { on: 'On', off: 'Off', locked: 'Locked' };

/** What of the plan shows: a look that is chosen, and what each shows; one’s own are kept with the job, and sheets have them too. */
export default function LooksList() {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const { look } = plan.job;
  const content = lookContent(plan, look);
  const own = Object.hasOwn(plan.looks, look) ? plan.looks[look]! : null;
  const take = (which: string) => dispatch(edit({ kind: 'changeJob', details: { look: which } }));
  /** A look every job has stays as it is: what is changed of it is one of one’s own. */
  const change = (to: Partial<Omit<NamedLook, 'id' | 'name'>>) => {
    const made = own
      ? null
      : dispatch(edit({ kind: 'addLook', name: freeName(Object.values(plan.looks)), like: look }));
    const id = own ? own.id : made?.ok ? made.made : null;
    if (id) dispatch(edit({ kind: 'changeLook', look: id, to }));
  };
  const layers = [
    ...new Set(
      [...Object.values(plan.dimensions), ...Object.values(plan.annotations), ...Object.values(plan.pieces)]
        .map((each) => each.layer)
        .filter(Boolean),
    ),
  ].sort();
  return (
    <ListPanel title="What shows" testID="looks" downloads={[]}>
      <ScrollView>
        <ListBar>
          {[...LOOKS, ...Object.keys(plan.looks)].map((which) => (
            <BarButton
              key={which}
              label={capital(lookName(plan, which))}
              says={`Look: ${lookName(plan, which)}`}
              chosen={look === which}
              onPress={() => take(which)}
            />
          ))}
        </ListBar>
        {own && <Own key={own.id} look={own} />}
        {!own && (
          <Text style={[styles.says, { color: colours.inkSoft }]}>
            Change something, and it is kept as a look of your own.
          </Text>
        )}
        <ListBar>
          <BarButton
            label="All lengths"
            chosen={content.lengths === 'all'}
            onPress={() => change({ lengths: 'all' })}
          />
          <BarButton
            label="Taped ones"
            chosen={content.lengths === 'taped'}
            onPress={() => change({ lengths: 'taped' })}
          />
          <BarButton label="Sizes of rooms" chosen={content.sizes} onPress={() => change({ sizes: !content.sizes })} />
        </ListBar>
        {SHOWN_PARTS.map((part: ShownPart) => (
          <Row
            key={part}
            label={SAID[part]}
            now={isShown(content, part)}
            take={(showing) => change({ parts: { ...content.parts, [part]: showing } })}
          />
        ))}
        {layers.map((layer) => (
          <Row
            key={`layer ${layer}`}
            label={`Layer: ${layer}`}
            now={content.layers[layer] ?? 'on'}
            take={(showing) => change({ layers: { ...content.layers, [layer]: showing } })}
          />
        ))}
      </ScrollView>
    </ListPanel>
  );
}

const freeName = (looks: readonly NamedLook[]): string => {
  for (let i = 1; ; i += 1) {
    const name = i === 1 ? 'My look' : `My look ${i}`;
    if (!looks.some((look) => look.name.toLowerCase() === name.toLowerCase())) return name;
  }
};

function Row({ label, now, take }: { label: string; now: Showing; take(showing: Showing): void }) {
  const colours = useColours();
  return (
    <View style={[styles.row, { borderColor: colours.linenDeep }]} role="group" accessibilityLabel={label}>
      <Text style={[styles.part, { color: colours.ink }]}>{label}</Text>
      {SHOWINGS.map((showing: Showing) => (
        <BarButton
          key={showing}
          label={SHOWING[showing]}
          says={`${label}: ${SHOWING[showing].toLowerCase()}`}
          chosen={now === showing}
          onPress={() => take(showing)}
        />
      ))}
    </View>
  );
}

function Own({ look }: { look: NamedLook }) {
  const dispatch = useAppDispatch();
  return (
    <View style={styles.own}>
      <Written
        label="Name of the look"
        value={look.name}
        keep={(name) => dispatch(edit({ kind: 'changeLook', look: look.id, to: { name } })).ok}
        style={styles.name}
      />
      <BarButton
        icon="trash-can-outline"
        label="Remove"
        says={`Remove the look ${look.name}`}
        onPress={() => dispatch(edit({ kind: 'removeLook', look: look.id }))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  own: { flexDirection: 'row', alignItems: 'center', gap: 8, paddingHorizontal: 10, paddingBottom: 8 },
  name: { flex: 1 },
  says: { paddingHorizontal: 14, paddingBottom: 8, fontSize: 14.5, lineHeight: 19 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: 4,
    paddingHorizontal: 10,
    paddingVertical: 3,
    borderTopWidth: 1,
  },
  part: { flex: 1, fontFamily: FONTS.sans, fontSize: 15 },
});
