/** Said where a change can’t be put on what is stored. */
export const SEND_WHOLE = 'The server does not have the plan this change was made from. Send the whole plan.';
