/** The workshop file: SQLite, migrations, damage. The only room that knows SQL. */
package tinperch.workshop.store;
