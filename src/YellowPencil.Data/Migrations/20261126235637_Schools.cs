using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class Schools : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_plans_page_id_page_version_rules",
                table: "plans");

            migrationBuilder.AddColumn<string>(
                name: "school",
                table: "students",
                type: "character varying(400)",
                maxLength: 400,
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<string>(
                name: "school",
                table: "plans",
                type: "character varying(400)",
                maxLength: 400,
                nullable: false,
                defaultValue: "");

            migrationBuilder.AddColumn<int>(
                name: "turn",
                table: "plans",
                type: "integer",
                nullable: false,
                defaultValue: 0);

            migrationBuilder.CreateIndex(
                name: "ix_plans_page_id_page_version_rules_turn",
                table: "plans",
                columns: new[] { "page_id", "page_version", "rules", "turn" },
                unique: true,
                filter: "removal_id is null");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(
                name: "ix_plans_page_id_page_version_rules_turn",
                table: "plans");

            migrationBuilder.DropColumn(
                name: "school",
                table: "students");

            migrationBuilder.DropColumn(
                name: "school",
                table: "plans");

            migrationBuilder.DropColumn(
                name: "turn",
                table: "plans");

            migrationBuilder.CreateIndex(
                name: "ix_plans_page_id_page_version_rules",
                table: "plans",
                columns: new[] { "page_id", "page_version", "rules" },
                unique: true,
                filter: "removal_id is null");
        }
    }
}
