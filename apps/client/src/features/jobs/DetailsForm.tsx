import { type ComponentType, lazy } from 'react';
import { Part } from '../../ui/Part';
import type { Details } from './details';
import type { FormProps } from './JobForm';

const JobForm = lazy(() => import('./JobForm'));

/** What is asked about a job, in a form that comes when it is wanted; without a connection that may be said in its place. */
export function DetailsForm<F extends Details>(props: FormProps<F>) {
  const Form = JobForm as ComponentType<FormProps<F>>;
  return (
    <Part back={props.back}>
      <Form {...props} />
    </Part>
  );
}
