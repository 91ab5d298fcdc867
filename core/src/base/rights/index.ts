export { may, rights, roles, roleWords, type Right, type Role } from './rights.ts';
