/** A part of the job, over its plan: the layout shows it. */
export default () => null;
