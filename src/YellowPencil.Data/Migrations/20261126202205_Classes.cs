using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class Classes : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "class_line",
                table: "readings",
                type: "jsonb",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "is_passing",
                table: "readings",
                type: "boolean",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<Guid>(
                name: "class_sheet_id",
                table: "pages",
                type: "uuid",
                nullable: true);

            migrationBuilder.CreateTable(
                name: "classes",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    removal_id = table.Column<Guid>(type: "uuid", nullable: true),
                    name = table.Column<string>(type: "character varying(100)", maxLength: 100, nullable: false),
                    word = table.Column<string>(type: "character varying(20)", maxLength: 20, nullable: false),
                    created_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_classes", x => x.id);
                    table.ForeignKey(
                        name: "fk_classes_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_classes_removals_removal_id",
                        column: x => x.removal_id,
                        principalTable: "removals",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "class_sheets",
                columns: table => new
                {
                    id = table.Column<Guid>(type: "uuid", nullable: false),
                    owner_id = table.Column<Guid>(type: "uuid", nullable: false),
                    removal_id = table.Column<Guid>(type: "uuid", nullable: true),
                    class_id = table.Column<Guid>(type: "uuid", nullable: false),
                    title = table.Column<string>(type: "character varying(200)", maxLength: 200, nullable: false),
                    written_on = table.Column<DateOnly>(type: "date", nullable: true),
                    items = table.Column<string>(type: "text", nullable: false),
                    is_read_by_itself = table.Column<bool>(type: "boolean", nullable: false),
                    created_at = table.Column<DateTimeOffset>(type: "timestamp with time zone", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_class_sheets", x => x.id);
                    table.ForeignKey(
                        name: "fk_class_sheets_asp_net_users_owner_id",
                        column: x => x.owner_id,
                        principalTable: "AspNetUsers",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_class_sheets_classes_class_id",
                        column: x => x.class_id,
                        principalTable: "classes",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_class_sheets_removals_removal_id",
                        column: x => x.removal_id,
                        principalTable: "removals",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Restrict);
                });

            migrationBuilder.CreateTable(
                name: "class_students",
                columns: table => new
                {
                    classes_id = table.Column<Guid>(type: "uuid", nullable: false),
                    students_id = table.Column<Guid>(type: "uuid", nullable: false)
                },
                constraints: table =>
                {
                    table.PrimaryKey("pk_class_students", x => new { x.classes_id, x.students_id });
                    table.ForeignKey(
                        name: "fk_class_students_classes_classes_id",
                        column: x => x.classes_id,
                        principalTable: "classes",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                    table.ForeignKey(
                        name: "fk_class_students_students_students_id",
                        column: x => x.students_id,
                        principalTable: "students",
                        principalColumn: "id",
                        onDelete: ReferentialAction.Cascade);
                });

            migrationBuilder.CreateIndex(
                name: "ix_pages_class_sheet_id",
                table: "pages",
                column: "class_sheet_id");

            migrationBuilder.CreateIndex(
                name: "ix_class_sheets_class_id",
                table: "class_sheets",
                column: "class_id");

            migrationBuilder.CreateIndex(
                name: "ix_class_sheets_owner_id",
                table: "class_sheets",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_class_sheets_removal_id",
                table: "class_sheets",
                column: "removal_id");

            migrationBuilder.CreateIndex(
                name: "ix_class_students_students_id",
                table: "class_students",
                column: "students_id");

            migrationBuilder.CreateIndex(
                name: "ix_classes_owner_id",
                table: "classes",
                column: "owner_id");

            migrationBuilder.CreateIndex(
                name: "ix_classes_removal_id",
                table: "classes",
                column: "removal_id");

            migrationBuilder.AddForeignKey(
                name: "fk_pages_class_sheets_class_sheet_id",
                table: "pages",
                column: "class_sheet_id",
                principalTable: "class_sheets",
                principalColumn: "id",
                onDelete: ReferentialAction.SetNull);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropForeignKey(
                name: "fk_pages_class_sheets_class_sheet_id",
                table: "pages");

            migrationBuilder.DropTable(
                name: "class_sheets");

            migrationBuilder.DropTable(
                name: "class_students");

            migrationBuilder.DropTable(
                name: "classes");

            migrationBuilder.DropIndex(
                name: "ix_pages_class_sheet_id",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "class_line",
                table: "readings");

            migrationBuilder.DropColumn(
                name: "is_passing",
                table: "readings");

            migrationBuilder.DropColumn(
                name: "class_sheet_id",
                table: "pages");
        }
    }
}
