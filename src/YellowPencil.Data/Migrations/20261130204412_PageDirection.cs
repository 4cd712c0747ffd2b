using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace YellowPencil.Data.Migrations
{
    /// <inheritdoc />
    public partial class PageDirection : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(
                name: "direction",
                table: "pages",
                type: "character varying(20)",
                maxLength: 20,
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "is_written_so",
                table: "pages",
                type: "boolean",
                nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "direction",
                table: "pages");

            migrationBuilder.DropColumn(
                name: "is_written_so",
                table: "pages");
        }
    }
}
