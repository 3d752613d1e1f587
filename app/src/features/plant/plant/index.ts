/** What other features may use of this one. */
export { ContactList, useContacts } from './contact-list';
