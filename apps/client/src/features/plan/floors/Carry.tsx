import type { Plan, Point } from '@velvet-tape/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { FloorPicture, deriveFloor, distanceToCourse, edit, floorBeside, planActions, useAppDispatch, wallsToCarry } =
  lent();

interface Props {
  plan: Plan;
  from: string;
  side: 'above' | 'below';
  done(): void;
}

/** What continues on the next floor, chosen on a picture of this one: outer and party walls to begin with, any other by a tap. */
export function Carry({ plan, from, side, done }: Props) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const floor = deriveFloor(plan, from);
  const [chosen, choose] = useState<ReadonlySet<string>>(() => new Set(wallsToCarry(plan, from)));
  const [withOpenings, takeOpenings] = useState(false);
  const goingUp =
    side === 'above'
      ? floor.stairs.filter(({ stair, fromAbove }) => !fromAbove && stair.form !== 'ramp' && stair.form !== 'hatch')
      : [];
  const [withStairs, takeStairs] = useState(true);
  const target = floorBeside(plan, from, side);
  const all = floor.network.walls.map(({ id }) => id);
  const tapped = (p: Point, reach: number) => {
    const near = floor.network.walls
      .map(({ id }) => {
        const half = floor.network.half(id, true);
        return { id, off: distanceToCourse(half.course, p) - Math.max(half.left, half.right) };
      })
      .filter(({ off }) => off <= reach)
      .sort((a, b) => a.off - b.off)[0];
    if (!near) return;
    const next = new Set(chosen);
    if (!next.delete(near.id)) next.add(near.id);
    choose(next);
  };
  const carry = () => {
    const added = target ? null : dispatch(edit({ kind: 'addFloor', of: from, side }));
    const to = target?.id ?? (added?.ok ? added.made : null);
    if (!to) return;
    const openings = withOpenings ? floor.openings.filter(({ wall }) => chosen.has(wall)).map(({ id }) => id) : [];
    const solids = floor.solids.flatMap(({ solid: { id, stand } }) =>
      stand.kind === 'wall' && chosen.has(stand.wall) ? [id] : [],
    );
    if (
      !dispatch(
        edit({
          kind: 'carryFloor',
          from,
          to,
          walls: [...chosen],
          openings,
          solids,
          stairs: withStairs ? goingUp.map(({ stair }) => stair.id) : [],
          rooms: [],
        }),
      ).ok
    )
      return;
    dispatch(planActions.listed(null));
    dispatch(planActions.floorChosen(to));
  };
  const name = target?.name ?? (side === 'above' ? 'a new floor above' : 'a new floor below');
  return (
    <ScrollView contentContainerStyle={styles.all} tabIndex={0}>
      <FloorPicture
        plan={plan}
        floor={from}
        height={320}
        says={`Plan of ${floor.name}: tap a wall to choose it`}
        marked={floor.bodies.filter(({ wall }) => chosen.has(wall.id)).map(({ ring }) => ring)}
        tapped={tapped}
      />
      <Text style={[styles.words, { color: colours.inkSoft }]}>
        {`${chosen.size} of ${all.length} walls continue. Tap a wall to choose it or leave it out.`}
      </Text>
      <ListBar>
        <BarButton label="Outer walls" onPress={() => choose(new Set(wallsToCarry(plan, from)))} />
        <BarButton label="All" onPress={() => choose(new Set(all))} />
        <BarButton label="None" onPress={() => choose(new Set())} />
        <BarButton
          icon="door"
          label="With their openings"
          chosen={withOpenings}
          onPress={() => takeOpenings(!withOpenings)}
        />
        {goingUp.length > 0 && (
          <BarButton
            icon="stairs"
            label="Stairs go on up"
            chosen={withStairs}
            onPress={() => takeStairs(!withStairs)}
          />
        )}
      </ListBar>
      <View style={styles.does}>
        <Button mode="contained" icon="check" contentStyle={styles.tall} disabled={chosen.size === 0} onPress={carry}>
          {`To ${name}`}
        </Button>
        <Button contentStyle={styles.tall} onPress={done}>
          Back to the floors
        </Button>
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  all: { paddingBottom: 14, gap: 8 },
  words: { fontSize: 15, lineHeight: 20, paddingHorizontal: 14 },
  does: { gap: 8, paddingHorizontal: 14 },
  tall: { minHeight: 48 },
});
