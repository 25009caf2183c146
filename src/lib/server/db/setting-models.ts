import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type NonAttribute,
  type Sequelize
} from 'sequelize';
import { json, maybeOwner, owner, sentId, seq, tableOf, stamped, text, uuid } from './columns.ts';

export class CageRow extends Model<InferAttributes<CageRow>, InferCreationAttributes<CageRow>> {
  declare id: string;
  declare name: string;
  declare cutter: string;
  declare cage: unknown;
  declare personId: string;
  declare madeAt: CreationOptional<Date>;
}

/** A setting of a countersink cage. */
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
  declare person?: NonAttribute<{ name: string }>;
  declare cage?: NonAttribute<CageRow>;
}

/** A setting of a squeezer, a gun or dies. */
export class ToolSettingRow extends Model<
  InferAttributes<ToolSettingRow>,
  InferCreationAttributes<ToolSettingRow>
> {
  declare seq: CreationOptional<string>;
  declare id: string;
  declare jointId: string | null;
  declare run: string | null;
  declare work: string;
  declare setup: unknown;
  declare personId: string;
  declare begunAt: CreationOptional<Date>;
  declare person?: NonAttribute<{ name: string }>;
}

/** Binds the models of settings found by trial to one connection. */
export function defineSettingModels(sequelize: Sequelize) {
  const at = tableOf(sequelize);
  const common = () => ({
    seq: seq(),
    id: sentId(),
    jointId: maybeOwner(),
    work: text(),
    setup: json(),
    personId: owner(),
    begunAt: stamped()
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
      ...common(),
      cageId: owner(),
      step: { type: DataTypes.TEXT, allowNull: true },
      rests: text()
    },
    at('cage_settings')
  );
  ToolSettingRow.init(
    { ...common(), run: { type: DataTypes.TEXT, allowNull: true } },
    at('tool_settings')
  );
  CageSettingRow.belongsTo(CageRow, { as: 'cage', foreignKey: 'cageId' });
  return { CageRow, CageSettingRow, ToolSettingRow };
}
