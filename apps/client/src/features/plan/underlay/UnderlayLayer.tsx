import { type Underlay, matrixOf, outlineOf, scaleOf, shownPart } from '@velvet-tape/core';
import { pathData } from '@velvet-tape/formats';
import { memo, useEffect, useState } from 'react';
import { useAppDispatch, useAppSelector } from '../../../store/store';
import { Offline } from '../../../sync/http';
import { pictureOf } from '../../../sync/pictures';
import { G, Image, Path, Window } from '../../../ui/svg';
import type { HouseColours } from '../../../ui/theme';
import { HaloText } from '../overlay/HaloText';
import { selectLook } from '../selectors';
import { prepareLines } from './seen';
import { selectUnderlays } from './selectors';
import { underlayActions } from './underlay-slice';

interface Paint {
  colours: HouseColours;
  /** mm of the house per screen pixel */
  px: number;
}

/** The pictures under the plan, from the lowest up. */
export const UnderlayLayer = memo(function UnderlayLayer(paint: Paint) {
  const underlays = useAppSelector(selectUnderlays);
  const leftOut = useAppSelector((state) => selectLook(state).without.has('pictures'));
  if (leftOut) return null;
  return (
    <G>
      {underlays
        .filter(({ hidden }) => !hidden)
        .map((underlay) => (
          <Picture key={underlay.id} underlay={underlay} {...paint} />
        ))}
    </G>
  );
});

/** A picture where it lies; while it is fetched, or where it can't be had, its outline and why. */
function Picture({ underlay, colours, px }: Paint & { underlay: Underlay }) {
  const url = usePictureUrl(underlay.picture);
  const why = useAppSelector((state) => state.underlay.missing[underlay.picture]);
  const known = scaleOf(underlay).known;
  useEffect(() => {
    if (url && known) prepareLines(underlay.picture);
  }, [url, known, underlay.picture]);
  if (!url) return <Missing underlay={underlay} words={why ?? 'Fetching the picture…'} colours={colours} px={px} />;
  const { left, top, width, height } = shownPart(underlay);
  const { opacity, brightness, contrast, inverted } = underlay.look;
  const filter = `brightness(${brightness}) contrast(${contrast})${inverted ? ' invert(1)' : ''}`;
  return (
    <G transform={`matrix(${matrixOf(underlay).join(' ')})`} opacity={opacity}>
      <Window x={left} y={top} width={width} height={height} viewBox={`${left} ${top} ${width} ${height}`}>
        <Image
          testID="underlay-picture"
          href={url}
          width={underlay.width}
          height={underlay.height}
          preserveAspectRatio="none"
          {...({ style: { filter } } as object)}
        />
      </Window>
    </G>
  );
}

function Missing({ underlay, words, colours, px }: Paint & { underlay: Underlay; words: string }) {
  const outline = outlineOf(underlay);
  return (
    <G>
      <Path
        d={pathData([outline], true)}
        fill="none"
        stroke={colours.inkSoft}
        strokeWidth={1.5}
        strokeDasharray="6 5"
        {...({ vectorEffect: 'non-scaling-stroke' } as object)}
      />
      <HaloText
        at={underlay.at}
        text={words}
        size={14}
        strong={false}
        fill={colours.inkSoft}
        colours={colours}
        px={px}
      />
    </G>
  );
}

/** An address for the picture in this page; null while it is not there. What could not be had is tried again when there is a connection. */
function usePictureUrl(picture: string): string | null {
  const dispatch = useAppDispatch();
  const [url, setUrl] = useState<string | null>(null);
  // only where it is missing does a change of the connection matter
  const cutOff = useAppSelector(
    ({ underlay, plan }) => underlay.missing[picture] !== undefined && plan.sync.state === 'offline',
  );
  useEffect(() => {
    if (cutOff) return;
    let made: string | null = null;
    let gone = false;
    pictureOf(picture).then(
      (blob) => {
        if (gone) return;
        made = URL.createObjectURL(blob);
        setUrl(made);
        dispatch(underlayActions.pictureMissing({ picture, why: null }));
      },
      (error: unknown) => {
        const why = error instanceof Offline ? 'This picture is not on this device yet' : 'This picture is lost';
        if (!gone) dispatch(underlayActions.pictureMissing({ picture, why }));
      },
    );
    return () => {
      gone = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [picture, cutOff, dispatch]);
  return url;
}
