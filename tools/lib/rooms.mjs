/** What is looked at for how rooms are joined: everything but tests of the screens, which act from outside. */
export const ROOMS = ['--config', '.dependency-cruiser.mjs', 'core/src', 'contract/src', 'server/src', 'web/src'];
