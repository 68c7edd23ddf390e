declare module 'jstat';
