import { DataTypes, type Model, type ModelAttributes, type ModelStatic, type Sequelize } from 'sequelize';

export interface Row {
  readonly createdAt?: Date;
}

// Sequelize writes into these, so each column gets one of its own.
export const id = () => ({ type: DataTypes.UUID, primaryKey: true }) as const;
export const key = () => ({ type: DataTypes.UUID, primaryKey: true, allowNull: false }) as const;
export const needed = <T>(type: T) => ({ type, allowNull: false }) as const;

/** Defines a table by its name and its columns besides the time at which a row was made. */
export type Define = <R extends Row>(
  name: string,
  attributes: Omit<ModelAttributes, 'createdAt'>,
) => ModelStatic<Model<R, R> & R>;

export const defineIn =
  (sequelize: Sequelize): Define =>
  <R extends Row>(name: string, attributes: Omit<ModelAttributes, 'createdAt'>) =>
    sequelize.define(
      name,
      { ...attributes, createdAt: needed(DataTypes.DATE) },
      {
        tableName: name,
        underscored: true,
        timestamps: true,
        updatedAt: false,
      },
    ) as ModelStatic<Model<R, R> & R>;
