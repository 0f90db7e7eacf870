import type { Instrument, Reading } from '@velvet-tape/core';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { DropMenu } from '../../../ui/DropMenu';
import { planActions } from '../plan-slice';
import type { ToolChoices } from '../tool-choices';
import { useMeter } from '../readings/use-meter';

const INSTRUMENT: readonly (readonly [Instrument, string, string])[] = [
  ['tape', 'By tape', 'tape'],
  ['laser', 'By laser', 'laser'],
  ['scaled', 'Off a drawing', 'drawing'],
  ['guess', 'A guess', 'guess'],
];
const FACES: readonly (readonly [Reading['face'], string, string])[] = [
  ['inside', 'On the inner face', ''],
  ['outside', 'On the outer face', 'outer face'],
  ['centre', 'Along the centre line', 'centre line'],
];

/** What a length is read with, and on which face of the wall; it stays so until it is changed. */
export function HowRead({ tile = false }: { tile?: boolean }) {
  const dispatch = useAppDispatch();
  const field = useAppSelector((state) => state.plan.pad.field);
  const { instrument, along } = useAppSelector((state) => state.plan.choices);
  const { status, meter, stream } = useMeter();
  const words = [
    INSTRUMENT.find(([name]) => name === instrument)![2],
    field === 'length' && FACES.find(([name]) => name === along)![2],
  ];
  const said = words.filter(Boolean).join(', ');
  const choose = (made: Partial<ToolChoices>) => {
    dispatch(planActions.choicesMade(made));
    // and back to what is read
    if (tile) dispatch(planActions.panelShown(null));
  };
  const mark = (on: boolean) => (on ? 'check' : 'blank');
  return (
    <DropMenu
      tile={tile}
      icon="tape-measure"
      label={tile ? `Read by ${said}` : said}
      says={`How it is read: ${said}`}
      entries={[
        ...INSTRUMENT.map(([name, title]) => ({
          title,
          icon: mark(name === instrument),
          onPress: () => choose({ instrument: name }),
        })),
        ...(field === 'length'
          ? FACES.map(([name, title]) => ({
              title,
              icon: mark(name === along),
              onPress: () => choose({ along: name }),
            }))
          : []),
        ...(status.state === 'ready'
          ? [
              {
                title: 'Keep shooting',
                icon: 'laser-pointer',
                onPress: () => {
                  choose({});
                  stream(true);
                },
              },
              {
                title: 'Disconnect the laser',
                icon: 'bluetooth-off',
                onPress: () => {
                  stream(false);
                  meter.disconnect();
                },
              },
            ]
          : []),
      ]}
    />
  );
}
