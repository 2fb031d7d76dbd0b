"""own products; portions of several kinds"""

import sqlalchemy as sa
from alembic import op

from sun_crumb.store.migrations.leftovers import has_column

revision = "0002"
down_revision = "0001"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "products",
        sa.Column("id", sa.Integer(), nullable=False),
        sa.Column("label", sa.JSON(), nullable=False),
        sa.Column("like", sa.String(), nullable=False),
        sa.Column("created_at", sa.DateTime(), nullable=False),
        sa.Column("deleted_at", sa.DateTime(), nullable=True),
        sa.PrimaryKeyConstraint("id"),
    )
    # A release that committed table by table may have been stopped in here: what is there is left.
    if not has_column(op.get_bind(), "versions", "portions"):
        with op.batch_alter_table("versions") as batch:
            batch.add_column(sa.Column("portions", sa.JSON(), nullable=True))
    if not has_column(op.get_bind(), "bakes", "kind"):
        with op.batch_alter_table("bakes") as batch:
            batch.add_column(sa.Column("kind", sa.String(), nullable=False, server_default=""))
    # Apart from the column itself: within one batch the rows would be copied before they have a kind.
    with op.batch_alter_table("bakes") as batch:
        batch.alter_column("kind", server_default=None)


def downgrade() -> None:
    with op.batch_alter_table("bakes") as batch:
        batch.drop_column("kind")
    with op.batch_alter_table("versions") as batch:
        batch.drop_column("portions")
    op.drop_table("products")
