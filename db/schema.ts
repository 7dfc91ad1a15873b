/** Every table, by what it is about. */
export * from './schema/course';
export * from './schema/person';
export * from './schema/record';
export * from './schema/floor';
export * from './schema/profile';
export * from './schema/desk';
