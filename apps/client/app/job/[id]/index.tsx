/** The plan itself: the layout shows it. */
export default () => null;
