const UUID = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i;

/** Whether a text can be the name of a record. */
export const isUuid = (text: string): boolean => UUID.test(text);
