import type { Drawing } from '@velvet-tape/core/axonometric';
import { BarButton } from '../../../../ui/BarButton';
import { lent } from '../../later/lent';
import { Bar } from './Bar';
import { CutAt } from './CutAt';

const { DropMenu, download, fileName, floorsInOrder, useAppSelector } = lent();

/** How the house is drawn in lines: its axes alike or its plan true, from which corner, cut how high; as a file. */
export function LinesBar({
  drawing,
  draw,
  svg,
}: {
  drawing: Drawing;
  draw(to: Partial<Drawing>): void;
  svg: string | null;
}) {
  const plan = useAppSelector((state) => state.plan.plan)!;
  const { form, corner, floor, cut, furnished } = drawing;
  const floors = floorsInOrder(plan);
  const choice = (title: string, on: boolean, to: string | null) => ({
    title,
    icon: on ? 'check' : 'blank',
    // a house with its roofs is whole, a floor is looked into
    onPress: () => draw({ floor: to, cut: to === null ? null : (cut ?? 1200) }),
  });
  return (
    <Bar>
      <DropMenu
        icon="menu-down"
        label={floors.find(({ id }) => id === floor)?.name ?? 'The house'}
        says="What is drawn. Change."
        entries={[
          choice('The house, with its roofs', floor === null, null),
          ...floors.map(({ id, name }) => choice(name, floor === id, id)),
        ]}
      />
      <BarButton label="Isometric" chosen={form === 'isometric'} onPress={() => draw({ form: 'isometric' })} />
      <BarButton label="Planometric" chosen={form === 'planometric'} onPress={() => draw({ form: 'planometric' })} />
      <BarButton
        icon="rotate-right"
        label="Turn"
        says="See it from the next corner"
        onPress={() => draw({ corner: (corner + 1) % 4 })}
      />
      <CutAt cut={cut} cutAt={(to) => draw({ cut: to })} />
      <BarButton
        label="Furnished"
        says="With what stands loose in the rooms"
        chosen={furnished}
        onPress={() => draw({ furnished: !furnished })}
      />
      <BarButton
        icon="download"
        label="SVG"
        says="Leave it as SVG, 1:50"
        disabled={svg === null}
        onPress={() => svg && download(`${fileName(plan.job.name)} in space.svg`, 'image/svg+xml', svg)}
      />
    </Bar>
  );
}
