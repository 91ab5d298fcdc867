import base from './playwright.config.ts';
export default { ...base, use: { ...base.use, actionTimeout: 9000 } };
