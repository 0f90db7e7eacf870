import { memo } from 'react';
import { useAppSelector } from '../../../store/store';
import { BarButton, BarIcon } from '../../../ui/BarButton';
import { isShot, useMeter } from './use-meter';

/** The laser meter: connects it, then fires it. What it sends goes to the field that waits. */
export const MeterButton = memo(function MeterButton() {
  const field = useAppSelector((state) => state.plan.pad.field);
  const { status, meter, streaming, stream } = useMeter();
  if (!isShot(field)) return null;
  if (status.state === 'off' || status.state === 'lost')
    return <BarIcon icon="laser-pointer" says="Connect the laser meter" onPress={() => void meter.connect()} />;
  if (streaming)
    return (
      <BarButton strong icon="stop" label="Stop" says="Stop measuring with the laser" onPress={() => stream(false)} />
    );
  const words = status.state === 'connecting' ? 'Connecting' : status.state === 'measuring' ? '…' : 'Shoot';
  const battery = status.battery === null ? '' : `, battery ${Math.round(100 * status.battery)} %`;
  return (
    <BarButton
      strong
      icon="laser-pointer"
      label={words}
      says={`Measure with the laser${battery}`}
      disabled={status.state !== 'ready'}
      onPress={() => void meter.measure()}
    />
  );
});
