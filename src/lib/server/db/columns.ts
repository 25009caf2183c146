import { cast, col, DataTypes, where, type Sequelize } from 'sequelize';

// Made anew for every column: Sequelize writes each column's name into what it is given.
export const uuid = () => ({
  type: DataTypes.UUID,
  primaryKey: true,
  defaultValue: DataTypes.UUIDV4
});
export const stamped = () => ({ type: DataTypes.DATE, defaultValue: DataTypes.NOW });
export const text = () => ({ type: DataTypes.TEXT, allowNull: false });
export const json = () => ({ type: DataTypes.JSONB, allowNull: false });
export const whole = () => ({ type: DataTypes.INTEGER, allowNull: false });
export const real = () => ({ type: DataTypes.DOUBLE, allowNull: false });
export const owner = () => ({ type: DataTypes.UUID, allowNull: false });
export const maybeOwner = () => ({ type: DataTypes.UUID, allowNull: true });
/** The order in which rows were recorded. */
export const seq = () => ({ type: DataTypes.BIGINT, autoIncrement: true, primaryKey: true });
/** An id made by the sender, so that a repeat is stored once. */
export const sentId = () => ({ type: DataTypes.UUID, allowNull: false, unique: true });
export const maybeWhole = () => ({ type: DataTypes.INTEGER, allowNull: true });

/** A condition on an id that comes from outside: what is no id at all is nobody’s. */
export const asText = (column: string, value: string) => where(cast(col(column), 'text'), value);

/** How a model finds its table, which the migrations have made. */
export const tableOf = (sequelize: Sequelize) => (tableName: string) => ({
  sequelize,
  tableName,
  timestamps: false,
  underscored: true
});
