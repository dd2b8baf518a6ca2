/** What checks each message of the line. */
export const loadMessageCheck = () => import('../../../generated/desk-message-shell').then((file) => file.default);
