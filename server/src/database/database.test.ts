import type { Model, ModelStatic } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { freshDatabase } from '../../test/harness';
import { migrator } from './migrate';
import { connect } from './models';

describe('migrations', () => {
  it('make exactly the columns that the models know, and can be taken back', async () => {
    const { sequelize, models } = connect(await freshDatabase());
    await migrator(sequelize).up();
    for (const model of Object.values(models) as unknown as ModelStatic<Model>[]) {
      const table = await sequelize.getQueryInterface().describeTable(model.tableName);
      const attributes = Object.values(model.getAttributes());
      expect([model.tableName, Object.keys(table).sort()]).toEqual([
        model.tableName,
        attributes.map(({ field }) => field).sort(),
      ]);
      for (const { field = '', allowNull, primaryKey } of attributes) {
        expect([model.tableName, field, table[field]?.allowNull]).toEqual([
          model.tableName,
          field,
          primaryKey ? false : allowNull !== false,
        ]);
      }
    }
    await migrator(sequelize).down({ to: 0 });
    expect(await sequelize.getQueryInterface().showAllTables()).toEqual(['SequelizeMeta']);
    await migrator(sequelize).up();
    await sequelize.close();
  });
});
