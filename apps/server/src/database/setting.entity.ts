import { Column, Entity, PrimaryColumn } from 'typeorm';

/** A fact about this installation, such as that the demo was loaded. */
@Entity('setting')
export class Setting {
  @PrimaryColumn({ type: 'text', primaryKeyConstraintName: 'setting_pkey' })
  key: string;

  @Column({ type: 'jsonb' })
  value: unknown;
}
