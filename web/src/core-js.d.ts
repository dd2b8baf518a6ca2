declare module 'core-js/actual/*';
