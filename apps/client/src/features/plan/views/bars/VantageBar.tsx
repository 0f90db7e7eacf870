import type { Vantage } from '@velvet-tape/core';
import { BarButton, BarIcon } from '../../../../ui/BarButton';
import { lent } from '../../later/lent';
import type { Pose } from '../gait';
import { useHouse } from '../raising';
import { useLengths } from '../use-lengths';
import { placeOf } from '../vantage-view';
import { Bar, TYPED, TYPED_WIDE } from './Bar';
import { type Light, LookButtons } from './LookButtons';

const { Written, DropMenu, edit, useAppDispatch, useAppSelector, vantagesInOrder } = lent();

/** One vantage: stepped through, named, its lens, what shows from it. */
export function VantageBar({
  vantage,
  goTo,
  now,
  left,
  time,
  toSun,
  toFinish,
}: Light & {
  vantage: Vantage;
  goTo(id: string): void;
  now(): Pose;
  left(): void;
}) {
  const dispatch = useAppDispatch();
  const plan = useAppSelector((state) => state.plan.plan)!;
  const house = useHouse();
  const { say, written, typed } = useLengths();
  const all = vantagesInOrder(plan);
  const at = all.findIndex(({ id }) => id === vantage.id);
  const step = (by: number) => goTo(all[(at + by + all.length) % all.length]!.id);
  const change = (to: Partial<Omit<Vantage, 'id' | 'order'>>) =>
    dispatch(edit({ kind: 'changeVantage', vantage: vantage.id, to }));
  const lookFromHere = () => {
    const place = house && placeOf(now(), house.walkable);
    if (place) change({ ...place, floor: vantage.alone ? vantage.floor : place.floor, sun: time });
  };
  const lens = (text: string): boolean => {
    const mm = Number(text.replace(',', '.').replace(/\s*mm$/, ''));
    if (Number.isFinite(mm) && text.trim() !== '') return change({ lens: mm }).ok;
    return say('That is no lens. Type its mm, like 24.');
  };
  const remove = () => {
    const result = dispatch(edit({ kind: 'removeVantage', vantage: vantage.id }));
    const next = all[at + 1] ?? all[at - 1];
    if (!result.ok) return;
    if (next) goTo(next.id);
    else left();
  };
  return (
    <>
      <Bar>
        <BarIcon icon="chevron-left" says="The vantage before" onPress={() => step(-1)} />
        <Written
          style={TYPED_WIDE}
          key={`name ${vantage.id} ${vantage.name}`}
          label="Name of the vantage"
          value={vantage.name}
          keep={(name) => change({ name }).ok}
        />
        <BarIcon icon="chevron-right" says="The next vantage" onPress={() => step(1)} />
        <DropMenu
          icon="dots-vertical"
          says="More of this vantage"
          entries={[
            { title: 'Look from here, in this light, from now on', icon: 'pin-outline', onPress: lookFromHere },
            {
              title: 'Earlier in the order',
              icon: 'arrow-up',
              onPress: () => dispatch(edit({ kind: 'orderVantage', vantage: vantage.id, by: -1 })),
            },
            {
              title: 'Later in the order',
              icon: 'arrow-down',
              onPress: () => dispatch(edit({ kind: 'orderVantage', vantage: vantage.id, by: 1 })),
            },
            { title: 'Remove it', icon: 'delete-outline', onPress: remove },
          ]}
        />
      </Bar>
      <Bar>
        <Written
          style={TYPED}
          key={`lens ${vantage.id} ${vantage.lens}`}
          label="Lens, mm"
          value={String(vantage.lens)}
          keep={lens}
        />
        <Written
          style={TYPED}
          key={`up ${vantage.id} ${vantage.up}`}
          label="Height"
          value={written(vantage.up)}
          keep={(text) =>
            typed(text, (up) => {
              const { ok } = change({ up });
              if (ok) goTo(vantage.id);
              return ok;
            })
          }
        />
        <BarButton
          label="Uprights"
          says="Uprights kept upright"
          chosen={vantage.uprights}
          onPress={() => change({ uprights: !vantage.uprights })}
        />
        <BarButton
          label="Furnished"
          says="With what stands loose in the rooms"
          chosen={vantage.furnished}
          onPress={() => change({ furnished: !vantage.furnished })}
        />
        <LookButtons time={time} toSun={toSun} toFinish={toFinish} />
      </Bar>
    </>
  );
}
