import type { Course, Plan, Point } from '@velvet-tape/core';
import { useState } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import { Button, Text } from 'react-native-paper';
import { BarButton } from '../../../ui/BarButton';
import { useColours } from '../../../ui/theme';
import { ListBar } from '../later/ListPanel';
import { lent } from '../later/lent';

const { FloorPicture, alongOf, deriveFloor, edit, floorBeside, hitAt, planActions, useAppDispatch, wallsToCarry } =
  lent();

interface Props {
  plan: Plan;
  from: string;
  side: 'above' | 'below';
  done(): void;
}

/**
 * What continues on the next floor, chosen on a picture of this one: to begin with outer and party walls, what stands solid against them, and going up the stairs; any wall, room, opening,
 * column or flight of stairs by a tap. A room has its walls with it, an opening its wall; without its wall nothing stays.
 */
export function Carry({ plan, from, side, done }: Props) {
  const dispatch = useAppDispatch();
  const colours = useColours();
  const floor = deriveFloor(plan, from);
  const walls = floor.network.walls.map(({ id }) => id);
  const rooms = floor.rooms.map(({ room }) => room.id);
  const openings = floor.openings.map(({ id }) => id);
  const goingUp = floor.stairs.flatMap(({ stair, fromAbove }) =>
    fromAbove || side === 'below' || stair.form === 'ramp' ? [] : [stair.id],
  );
  const against = (id: string) =>
    floor.solids.flatMap(({ solid }) => (solid.stand.kind === 'wall' && solid.stand.wall === id ? [solid.id] : []));
  const usual = () => {
    const outer = wallsToCarry(plan, from);
    return new Set([...outer, ...outer.flatMap(against), ...goingUp]);
  };
  const [chosen, choose] = useState<ReadonlySet<string>>(usual);
  const target = floorBeside(plan, from, side);
  const wallsOfRoom = (id: string) =>
    floor.rooms
      .filter(({ room }) => room.id === id)
      .flatMap(({ outline }) => outline.runs.flatMap(({ halves }) => halves.map(({ wall }) => wall.id)));
  /** What of a thing must come too, and what can't stay without it. */
  const needs = (id: string): readonly string[] => {
    const opening = floor.openings.find((each) => each.id === id);
    const solid = floor.solids.find((each) => each.solid.id === id)?.solid;
    if (opening) return [opening.wall];
    return solid?.stand.kind === 'wall' ? [solid.stand.wall] : wallsOfRoom(id);
  };
  const hangsOn = (id: string) =>
    [...openings, ...rooms, ...floor.solids.map(({ solid }) => solid.id)].filter((each) => needs(each).includes(id));
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (next.delete(id)) for (const each of hangsOn(id)) next.delete(each);
    else for (const each of [id, ...needs(id)]) next.add(each);
    choose(next);
  };
  const tapped = (p: Point, reach: number) => {
    const hit = hitAt(floor, p, reach);
    if (hit.kind === 'wall') {
      const { halves } = hit.face;
      const near = halves.find(({ course }) => alongIn(course, p)) ?? halves[0]!;
      toggle(near.wall.id);
    } else if (hit.kind === 'opening') toggle(hit.on.opening.id);
    else if (hit.kind === 'solid') toggle(hit.standing.solid.id);
    else if (hit.kind === 'room') toggle(hit.room.room.id);
    else if (hit.kind === 'stairs' && goingUp.includes(hit.on.stair.id)) toggle(hit.on.stair.id);
  };
  const of = (ids: readonly string[]) => ids.filter((id) => chosen.has(id));
  const carry = () => {
    const added = target ? null : dispatch(edit({ kind: 'addFloor', of: from, side }));
    const to = target?.id ?? (added?.ok ? added.made : null);
    if (!to) return;
    const solids = of(floor.solids.map(({ solid }) => solid.id));
    const named = { walls: of(walls), openings: of(openings), solids, stairs: of(goingUp), rooms: of(rooms) };
    if (!dispatch(edit({ kind: 'carryFloor', from, to, ...named })).ok) return;
    dispatch(planActions.listed(null));
    dispatch(planActions.floorChosen(to));
  };
  const [wallsOn, openingsOn] = [of(walls), of(openings)];
  const doorsOf = openings.filter((id) => wallsOn.includes(needs(id)[0]!));
  const all = [...walls, ...rooms, ...openings, ...floor.solids.map(({ solid }) => solid.id), ...goingUp];
  const marked = [
    ...floor.bodies.filter(({ wall }) => chosen.has(wall.id)).map(({ ring }) => ring),
    ...floor.solids.filter(({ solid }) => chosen.has(solid.id)).map(({ ring }) => ring),
  ];
  const tinted = [
    ...floor.rooms.filter(({ room }) => chosen.has(room.id)).flatMap(({ outline }) => outline.rings),
    ...floor.stairs
      .filter(({ stair }) => goingUp.includes(stair.id) && chosen.has(stair.id))
      .flatMap((on) => on.outline),
  ];
  const counts = [
    [of(rooms).length, 'room', 'rooms'],
    [openingsOn.length, 'opening', 'openings'],
    [of(goingUp).length, 'flight of stairs', 'flights of stairs'],
  ] as const;
  const also = counts.flatMap(([n, one, many]) => (n > 0 ? [`, ${n} ${n === 1 ? one : many}`] : [])).join('');
  const name = target?.name ?? (side === 'above' ? 'a new floor above' : 'a new floor below');
  return (
    <ScrollView contentContainerStyle={styles.all} tabIndex={0}>
      <FloorPicture
        plan={plan}
        floor={from}
        height={320}
        says={`Plan of ${floor.name}: tap a wall, a room, a door or stairs to choose it`}
        marked={marked}
        tinted={tinted}
        tapped={tapped}
      />
      <Text style={[styles.words, { color: colours.inkSoft }]}>
        {`${wallsOn.length} of ${walls.length} walls continue${also}. Tap a wall, a room, a door or stairs to choose it or leave it out.`}
      </Text>
      <ListBar>
        <BarButton label="Outer walls" onPress={() => choose(usual())} />
        <BarButton label="All" onPress={() => choose(new Set(all))} />
        <BarButton label="None" onPress={() => choose(new Set())} />
        <BarButton
          icon="door"
          label="With their openings"
          chosen={doorsOf.length > 0 && openingsOn.length >= doorsOf.length}
          onPress={() =>
            choose(
              new Set(
                openingsOn.length >= doorsOf.length
                  ? [...chosen].filter((id) => !openings.includes(id))
                  : [...chosen, ...doorsOf],
              ),
            )
          }
        />
      </ListBar>
      <View style={styles.does}>
        <Button
          mode="contained"
          icon="check"
          contentStyle={styles.tall}
          disabled={wallsOn.length === 0}
          onPress={carry}
        >
          {`To ${name}`}
        </Button>
        <Button contentStyle={styles.tall} onPress={done}>
          Back to the floors
        </Button>
      </View>
    </ScrollView>
  );
}

/** Does the foot of a point lie on this part of a wall? */
function alongIn(course: Course, p: Point): boolean {
  const along = alongOf(course, p);
  return along >= 0 && along <= course.length;
}

const styles = StyleSheet.create({
  all: { paddingBottom: 14, gap: 8 },
  words: { fontSize: 15, lineHeight: 20, paddingHorizontal: 14 },
  does: { gap: 8, paddingHorizontal: 14 },
  tall: { minHeight: 48 },
});
