import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, INTEGER, JSONB, DATE } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });

/** What the school has, a row a piece: no tag twice, however it is written. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('stock_pieces', {
    id: { type: UUID, primaryKey: true },
    tag: needed(TEXT),
    body: needed(JSONB),
    revision: needed(INTEGER),
    created_at: needed(DATE),
  });
  await query.sequelize.query('create unique index stock_pieces_tag on stock_pieces (lower(tag))');
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('stock_pieces');
}
