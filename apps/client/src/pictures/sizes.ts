/** What reads the kind and size of a picture from its first bytes; it comes when the first picture is brought in. */
export const sizeReader = () => import('image-size');
