import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize
} from 'sequelize';
import { json, maybeOwner, owner, sentId, seq, stamped, text, uuid } from './columns.ts';

export class CageRow extends Model<InferAttributes<CageRow>, InferCreationAttributes<CageRow>> {
  declare id: string;
  declare name: string;
  declare cutter: string;
  declare cage: unknown;
  declare personId: string;
  declare madeAt: CreationOptional<Date>;
}

export class CageSettingRow extends Model<
  InferAttributes<CageSettingRow>,
  InferCreationAttributes<CageSettingRow>
> {
  declare seq: CreationOptional<string>;
  declare id: string;
  declare cageId: string;
  declare jointId: string | null;
  declare step: string | null;
  declare rests: CreationOptional<string>;
  declare work: string;
  declare setup: unknown;
  declare personId: string;
  declare begunAt: CreationOptional<Date>;
}

/** Binds the models of countersink cages to one connection. */
export function defineCageModels(sequelize: Sequelize) {
  const at = (tableName: string) => ({
    sequelize,
    tableName,
    timestamps: false,
    underscored: true
  });
  CageRow.init(
    {
      id: uuid(),
      name: text(),
      cutter: text(),
      cage: json(),
      personId: owner(),
      madeAt: stamped()
    },
    at('cages')
  );
  CageSettingRow.init(
    {
      seq: seq(),
      id: sentId(),
      cageId: owner(),
      jointId: maybeOwner(),
      step: { type: DataTypes.TEXT, allowNull: true },
      rests: text(),
      work: text(),
      setup: json(),
      personId: owner(),
      begunAt: stamped()
    },
    at('cage_settings')
  );
  return { CageRow, CageSettingRow };
}
