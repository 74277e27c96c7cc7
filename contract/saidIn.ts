type Said<Body> = { readonly [Field in keyof Body]: Exclude<Body[Field], undefined> }

/** What a change says; a field that it leaves undefined is not changed. */
export const saidIn = <Body extends object>(change: Body): Said<Body> =>
  Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined)) as Said<Body>
