import { type Draft, Refusal } from '../../plan/draft';
import { type Annotation, type Id, LETTERING_ON_PAPER } from '../../plan/plan';
import { LONGEST_NOTE } from '../../plan/schema';
import { edit } from '../edit';
import { requireFloor, requireName, requireOne } from '../require';
import { requireLettering } from './require-lettering';

type Told = Partial<Omit<Annotation, 'id' | 'floor' | 'form'>>;

export interface AddAnnotation extends Told {
  readonly kind: 'addAnnotation';
  readonly floor: Id;
  readonly form: Annotation['form'];
  readonly at: Annotation['at'];
}

const NEW: Omit<Annotation, 'id' | 'floor' | 'form' | 'at'> = {
  to: null,
  turn: 0,
  size: LETTERING_ON_PAPER.usual,
  text: '',
  sign: null,
  layer: '',
};

function addAnnotation(draft: Draft, { kind: _, floor, form, ...told }: AddAnnotation): Id {
  requireFloor(draft, floor);
  const id = draft.newId();
  draft.put('annotations', checked({ ...NEW, ...told, id, floor, form }));
  return id;
}

export interface ChangeAnnotation {
  readonly kind: 'changeAnnotation';
  readonly annotation: Id;
  readonly to: Told;
}

function changeAnnotation(draft: Draft, { annotation, to }: ChangeAnnotation): void {
  draft.put('annotations', checked({ ...requireAnnotation(draft, annotation), ...to }));
}

/** It says something that can be read. */
function checked(annotation: Annotation): Annotation {
  const text = annotation.text.trim();
  const { form } = annotation;
  if (form === 'text' && text === '') throw new Refusal('Write something, or take the text away.');
  if (text.length > LONGEST_NOTE) throw new Refusal(`A text can have ${LONGEST_NOTE} characters at most.`);
  if ((form === 'arrow' || form === 'line') && !annotation.to)
    throw new Refusal('Draw it from where it begins to where it ends.');
  requireLettering(annotation.size);
  return { ...annotation, text, layer: requireName(annotation.layer), turn: annotation.turn % 360 };
}

export interface RemoveAnnotation {
  readonly kind: 'removeAnnotation';
  readonly annotation: Id;
}

function removeAnnotation(draft: Draft, { annotation }: RemoveAnnotation): void {
  requireAnnotation(draft, annotation);
  draft.drop('annotations', annotation);
}

const requireAnnotation = (draft: Draft, id: Id): Annotation =>
  requireOne(draft, 'annotations', id, 'That note is no longer there.');

export const annotationsEdits = {
  addAnnotation: edit<AddAnnotation>(({ form }) => (form === 'text' ? 'write' : form), addAnnotation),
  changeAnnotation: edit<ChangeAnnotation>('change note', changeAnnotation),
  removeAnnotation: edit<RemoveAnnotation>('remove note', removeAnnotation),
};
