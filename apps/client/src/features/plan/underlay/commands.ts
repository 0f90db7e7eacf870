import { LONGEST_SIDE } from '@velvet-tape/contract';
import {
  type Calibration,
  type PictureDetails,
  type Underlay,
  outlineOf,
  ringsBox,
  shortened,
  turnedAbout,
} from '@velvet-tape/core';
import { checkFile } from '../../../pictures/check';
import { type PdfFile, openPdf } from '../../../pictures/pdf';
import { Stopped, workOn } from '../../../pictures/work';
import { randomSeed } from '../../../store/seed';
import type { AppDispatch, Command, RootState } from '../../../store/store';
import { keepPicture, pictureOf } from '../../../sync/pictures';
import { edit } from '../edit';
import { planActions } from '../plan-slice';
import { selectProposal } from '../selectors';
import { viewActions } from '../view-slice';
import { toHouse } from '../viewport';
import {
  type MarksProposal,
  type MarksTask,
  flatteningMarked,
  marksIntent,
  newMarks,
  nudgedMark,
  sidesOf,
  withDistance,
} from './marks';
import { selectUnderlay } from './selectors';
import { underlayActions } from './underlay-slice';
import { scaleWords } from './words';
import { sayTrouble, underWay } from './work';

/** Where what is brought in goes: it is new, or takes the place of another. */
type Place = { readonly replaces: string | null };

/** The PDF whose pages are being offered. */
let opened: { file: PdfFile; name: string; place: Place } | null = null;

const WORDS = 'Making the picture ready';

/** Brings in files: pictures at once, a PDF of several pages when one is chosen. Each trouble is said; the others come in. */
export const bringIn =
  (files: readonly File[], place: Place = { replaces: null }) =>
  async (dispatch: AppDispatch): Promise<void> => {
    for (const file of files) {
      try {
        const name = shortened(file.name.replace(/\.[^.]*$/, ''), 120) || 'Picture';
        if ((await checkFile(file)) === 'picture') await dispatch(keep(file, name, place));
        else await dispatch(openPages(file, name, place));
      } catch (error) {
        if (!(error instanceof Stopped)) dispatch(sayTrouble(error));
      }
    }
  };

const openPages =
  (file: Blob, name: string, place: Place) =>
  async (dispatch: AppDispatch): Promise<void> => {
    closePages();
    dispatch(underlayActions.working({ what: 'Opening the PDF', share: 0.3 }));
    try {
      opened = { file: await openPdf(file), name, place };
    } finally {
      dispatch(underlayActions.working(null));
    }
    const { pages } = opened.file;
    if (pages.length > 1) dispatch(underlayActions.pagesOffered({ name, pages }));
    else await dispatch(choosePage(1));
  };

/** One page of the PDF; the scale that is written on it is offered. */
export const choosePage =
  (number: number) =>
  async (dispatch: AppDispatch): Promise<void> => {
    if (!opened) return;
    const { file, name, place } = opened;
    dispatch(underlayActions.pagesOffered(null));
    try {
      const { picture, perPixel } = await file.render(number);
      const said = file.pages.length > 1 ? `${name}, page ${number}` : name;
      const ratio = file.pages[number - 1]?.ratio ?? null;
      await dispatch(keep(picture, said, place, { perPixel, ratio }));
    } catch (error) {
      if (!(error instanceof Stopped)) dispatch(sayTrouble(error));
    } finally {
      closePages();
    }
  };

export const dropPages: Command = (dispatch) => {
  closePages();
  dispatch(underlayActions.pagesOffered(null));
};

function closePages(): void {
  opened?.file.close();
  opened = null;
}

/** Makes a picture ready beside the screen and keeps it on the device. */
const keptOnDevice =
  (file: Blob) =>
  async (dispatch: AppDispatch): Promise<PictureDetails> => {
    const work = workOn(
      (pictures, progress) => pictures.ready(file, LONGEST_SIDE, progress),
      (share) => dispatch(underlayActions.working({ what: WORDS, share })),
    );
    const { blob, width, height } = await underWay(work, WORDS, dispatch);
    const picture = randomSeed();
    await keepPicture(picture, blob);
    return { picture, width, height };
  };

/** A picture for a sheet; null where it could not be had, which is said. */
export const pictureFrom =
  (file: File) =>
  async (dispatch: AppDispatch): Promise<PictureDetails | null> => {
    try {
      if ((await checkFile(file)) === 'picture') return await dispatch(keptOnDevice(file));
      dispatch(
        planActions.said({ text: 'A PDF can’t stand on a sheet. Take a photo or a picture of it.', tone: 'refused' }),
      );
    } catch (error) {
      if (!(error instanceof Stopped)) dispatch(sayTrouble(error));
    }
    return null;
  };

/** Lays a picture under the plan, or puts it in the place of one that is there. */
const keep =
  (file: Blob, name: string, { replaces }: Place, page: { perPixel: number; ratio: number | null } | null = null) =>
  async (dispatch: AppDispatch, getState: () => RootState): Promise<void> => {
    const details = await dispatch(keptOnDevice(file));
    const { floor } = getState().plan;
    if (replaces) {
      dispatch(edit({ kind: 'replacePicture', underlay: replaces, picture: details }));
      return;
    }
    const paper = page?.perPixel ?? null;
    const result = dispatch(
      edit({ kind: 'addUnderlay', floor, picture: details, name, at: middleOfView(getState()), paper }),
    );
    if (!result.ok || !result.made) return;
    dispatch(planActions.toolChosen('underlay'));
    dispatch(chooseUnderlay(result.made));
    dispatch(showUnderlay);
    if (page?.ratio) dispatch(underlayActions.scaleStated({ underlay: result.made, ratio: page.ratio }));
  };

const middleOfView = ({ view: { view, width, height } }: RootState) => toHouse(view, { x: width / 2, y: height / 2 });

export const chooseUnderlay =
  (id: string): Command =>
  (dispatch) => {
    dispatch(underlayActions.panelShown(null));
    dispatch(planActions.selected({ kind: 'underlay', id }));
  };

/** The whole of the chosen picture into view. */
export const showUnderlay: Command = (dispatch, getState) => {
  const underlay = selectUnderlay(getState());
  if (underlay) dispatch(viewActions.fitted({ box: ringsBox([outlineOf(underlay)]), margin: 24, stay: true }));
};

export const changeChosen =
  (change: Extract<Parameters<typeof edit>[0], { kind: 'changeUnderlay' }>['change']): Command =>
  (dispatch, getState) => {
    const underlay = selectUnderlay(getState());
    if (underlay) dispatch(edit({ kind: 'changeUnderlay', underlay: underlay.id, change }));
  };

export const removeChosen: Command = (dispatch, getState) => {
  const underlay = selectUnderlay(getState());
  if (!underlay || !dispatch(edit({ kind: 'removeUnderlay', underlay: underlay.id })).ok) return;
  dispatch(planActions.selected({ kind: 'nothing' }));
  const text = `“${underlay.name}” was taken away. What was drawn over it stays.`;
  dispatch(planActions.said({ text, tone: 'said' }));
};

/** Turned by so many degrees about its middle. */
export const turnChosen =
  (degrees: number): Command =>
  (dispatch, getState) => {
    const underlay = selectUnderlay(getState());
    if (underlay) dispatch(changeChosen(turnedAbout(underlay, degrees, underlay.at)));
  };

/** Begins to mark points on the chosen picture. */
export const mark =
  (task: MarksTask): Command =>
  (dispatch, getState) => {
    const underlay = selectUnderlay(getState());
    if (!underlay) return;
    if (underlay.locked && task !== 'crop') {
      dispatch(planActions.said({ text: 'This underlay is locked. Unlock it first.', tone: 'refused' }));
      return;
    }
    dispatch(planActions.proposed(newMarks(task, underlay)));
  };

const changeMarks =
  (change: (proposal: MarksProposal, underlay: Underlay) => MarksProposal): Command =>
  (dispatch, getState) => {
    const { proposal, plan } = getState().plan;
    const underlay = proposal?.kind === 'marks' ? plan?.underlays[proposal.underlay] : undefined;
    if (proposal?.kind === 'marks' && underlay) dispatch(planActions.proposed(change(proposal, underlay)));
  };

export const nudgeMark = (dx: number, dy: number): Command =>
  changeMarks((proposal, underlay) => nudgedMark(proposal, underlay, dx, dy));
export const setMarks = (change: Partial<MarksProposal>): Command =>
  changeMarks((proposal) => ({ ...proposal, ...change }));
export const forgetDistance: Command = changeMarks((proposal) => ({
  ...proposal,
  distances: proposal.distances.slice(0, -1),
}));
export const forgetMark: Command = changeMarks((proposal) => ({
  ...proposal,
  marks: proposal.marks.slice(0, -1),
  typed: null,
}));

/** The distances were meant by another unit: all of them that many times as long. */
export const slippedBy = (by: number): Command =>
  changeMarks((proposal) => {
    const all = withDistance(proposal);
    return { ...all, asked: true, distances: all.distances.map((each) => ({ ...each, value: each.value * by })) };
  });

/** Keeps what was marked. A picture that would be unlikely large is asked about first; a photo is flattened beside the screen. */
export const keepMarks: Command = (dispatch, getState) => {
  const proposal = selectProposal(getState());
  const { plan } = getState().plan;
  const underlay = proposal?.kind === 'marks' ? plan?.underlays[proposal.underlay] : undefined;
  if (proposal?.kind !== 'marks' || !plan || !underlay) return;
  if (proposal.task === 'flatten') {
    void dispatch(flatten(proposal, underlay));
    return;
  }
  const words = proposal.task === 'scale' ? scaleWords(proposal, underlay, plan.job.units) : null;
  if (words?.likely && !proposal.asked) {
    dispatch(planActions.proposed({ ...withDistance(proposal), asked: true }));
    return;
  }
  dispatch(keepAsMarked(proposal));
};

const keepAsMarked =
  (proposal: MarksProposal): Command =>
  (dispatch, getState) => {
    const { plan } = getState().plan;
    const intent = plan && marksIntent(proposal, plan);
    if (!intent || !dispatch(edit(intent)).ok) return;
    const { notice } = getState().plan;
    dispatch(planActions.proposed(null));
    if (notice) dispatch(planActions.said(notice));
    if (proposal.task !== 'place') dispatch(showUnderlay);
  };

const flatten =
  (proposal: MarksProposal, underlay: Underlay) =>
  async (dispatch: AppDispatch, getState: () => RootState): Promise<void> => {
    const [flattening, sides] = [flatteningMarked(proposal), sidesOf(proposal)];
    if (!flattening || !sides) {
      const text = sides
        ? 'These corners do not stand round anything. Mark the four corners of a rectangle.'
        : 'Type both sides first.';
      dispatch(planActions.said({ text, tone: 'refused' }));
      return;
    }
    try {
      const photo = await pictureOf(underlay.picture);
      const work = workOn(
        (pictures, progress) => pictures.flat(photo, flattening, progress),
        (share) => dispatch(underlayActions.working({ what: 'Flattening', share })),
      );
      const { blob, width, height } = await underWay(work, 'Flattening', dispatch);
      const picture = randomSeed();
      await keepPicture(picture, blob);
      // a sheet of paper says how large the paper is; a room says how large the house is
      const calibration: Calibration = sides.paper
        ? { kind: 'none' }
        : { kind: 'printed', perPixel: flattening.perPixel, ratio: 1 };
      const paper = sides.paper ? flattening.perPixel : null;
      const details = { picture, width, height };
      if (!dispatch(edit({ kind: 'replacePicture', underlay: underlay.id, picture: details, calibration, paper })).ok)
        return;
      dispatch(planActions.proposed(null));
      if (getState().plan.selection.kind === 'underlay') dispatch(showUnderlay);
      if (sides.paper) dispatch(underlayActions.panelShown('printed'));
    } catch (error) {
      if (!(error instanceof Stopped)) dispatch(sayTrouble(error));
    }
  };
